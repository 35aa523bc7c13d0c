import { instant } from '../engine/instant';
import type { Budget } from '../engine/improve';
import { instanceOf } from '../instance';
import { placingOf } from '../answer';
import { latenessOf } from '../late/difference';
import type { Id, Placing, Week, WeekJob } from '../week';

/** What becomes of the valves of an outage. */
export interface Fitted {
  /** Jobs that are over within the window, in the order that they were taken. */
  readonly fits: readonly Id[];
  /** Those that are not, whichever way they are put: to be done before, or left. */
  readonly left: readonly Id[];
  /** The plan of those that fit, beside what the shop has to do anyway. */
  readonly plan: readonly Placing[];
}

/**
 * Takes jobs into a window one after the other, the first one first: each stays where all that were taken before it, and
 * itself, are still over in time, and none of the shop's own jobs becomes later for it. Minutes from now.
 */
export function fitInto(
  week: Week,
  jobs: readonly WeekJob[],
  window: { readonly from: number; readonly to: number },
  budget: Budget,
): Fitted {
  const planned = (taken: readonly WeekJob[]) => {
    const whole = { ...week, jobs: [...week.jobs, ...taken] };
    const instance = instanceOf(whole);
    const solved = instance.ok ? instant(instance.value, budget) : instance;
    return solved.ok ? solved.value.plan.map(placingOf) : undefined;
  };
  let plan = planned([]);
  const own = plan && latenessOf(week, plan);
  const taken: WeekJob[] = [];
  const left: Id[] = [];
  for (const job of jobs) {
    const asked = { ...job, release: window.from, due: window.to, hard: true };
    const tried = planned([...taken, asked]);
    const late = tried && latenessOf({ ...week, jobs: [...week.jobs, ...taken, asked] }, tried);
    const isKept = late && [...late].every(([id, minutes]) => minutes <= (own?.get(id) ?? 0));
    if (!isKept) {
      left.push(job.id);
      continue;
    }
    taken.push(asked);
    plan = tried;
  }
  return { fits: taken.map(({ id }) => id), left, plan: plan ?? [] };
}
