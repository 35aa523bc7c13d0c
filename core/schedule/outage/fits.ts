import { placingOf } from '../answer';
import { instant } from '../engine/instant';
import type { Budget } from '../engine/improve';
import { instanceOf } from '../instance';
import { latenessOf } from '../late/difference';
import type { Id, Placing, Week, WeekJob } from '../week';

/** A valve of an outage, as the work that it wants. */
export interface Asked {
  readonly job: WeekJob;
  /** A spare stands in for it: that is worked on before the window, and exchanged in it. */
  readonly hasSpare: boolean;
}

/** Why one stays: it is not over in time itself, or others would be later for it. */
export interface Unfit {
  readonly id: Id;
  /** Minutes after the window that it would be over; 0 where that is not why. */
  readonly over: number;
  /** Jobs that would be later than without it. */
  readonly others: readonly Id[];
}

/** What becomes of the valves of an outage. */
export interface Fitted {
  /** Jobs that are over within the window, in the order that they were taken. */
  readonly fits: readonly Id[];
  /** Those whose spare can be done before it. */
  readonly before: readonly Id[];
  /** Neither. */
  readonly left: readonly Unfit[];
  /** The plan of those that fit or go before, beside what the shop has to do anyway. */
  readonly plan: readonly Placing[];
}

interface Window {
  readonly from: number;
  readonly to: number;
}

/**
 * Takes jobs into a window one after the other, the first one first: each stays where all that were taken before it, and
 * itself, are still over in time, and none of the shop's own jobs becomes later for it. What does not stay and has a spare
 * is tried before the window. Minutes from now.
 */
export function fitInto(week: Week, asked: readonly Asked[], window: Window, budget: Budget): Fitted {
  const own = planned(week, [], budget);
  const standing = own && latenessOf(week, own);
  const within = asked.map(({ job }) => ({ ...job, release: window.from, due: window.to, hard: true }));
  const tried = (taken: readonly WeekJob[]) => {
    const plan = planned(week, taken, budget);
    const late = plan && latenessOf({ ...week, jobs: [...week.jobs, ...taken] }, plan);
    const later = late && [...late].filter(([id, minutes]) => minutes > (standing?.get(id) ?? 0));
    return plan && later && { plan, later };
  };
  const whole = tried(within);
  if (whole?.later.length === 0)
    return { fits: asked.map(({ job }) => job.id), before: [], left: [], plan: whole.plan };

  let plan = own ?? [];
  const taken: WeekJob[] = [];
  /** Takes it where nothing becomes later; else what would. */
  const take = (job: WeekJob): Unfit | undefined => {
    const found = tried([...taken, job]);
    if (found?.later.length === 0) {
      taken.push(job);
      plan = found.plan;
      return undefined;
    }
    const over = found?.later.find(([id]) => id === job.id)?.[1] ?? 0;
    return { id: job.id, over, others: (found?.later ?? []).flatMap(([id]) => (id === job.id ? [] : [id])) };
  };
  const unfit = within.flatMap((job) => take(job) ?? []);
  const fits = taken.map(({ id }) => id);
  const spared = new Set(asked.flatMap(({ job, hasSpare }) => (hasSpare ? [job.id] : [])));
  const jobOf = new Map(within.map((job) => [job.id, job]));
  const left = unfit.filter(({ id }) => {
    const job = jobOf.get(id);
    return !job || !spared.has(id) || take({ ...job, release: 0, due: window.from }) !== undefined;
  });
  return { fits, before: taken.slice(fits.length).map(({ id }) => id), left, plan };
}

function planned(week: Week, taken: readonly WeekJob[], budget: Budget): readonly Placing[] | undefined {
  const instance = instanceOf({ ...week, jobs: [...week.jobs, ...taken] });
  const solved = instance.ok ? instant(instance.value, budget) : instance;
  return solved.ok ? solved.value.plan.map(placingOf) : undefined;
}
