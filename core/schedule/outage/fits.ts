import { placingOf } from '../answer';
import { instant } from '../engine/instant';
import type { Budget } from '../engine/improve';
import { instanceOf } from '../instance';
import { latenessOf } from '../late/difference';
import type { Id, Placing, Week, WeekJob, WeekPin } from '../week';

/** A valve of an outage, as the work that it wants. */
export interface Asked {
  readonly job: WeekJob;
  /** Those that can stand in for it: one is worked on before the window, and exchanged in it. */
  readonly spares: readonly Id[];
}

/** Why one stays: it is not over in time itself, or others of the outage would not be. */
export interface Unfit {
  readonly id: Id;
  /** Minutes after the window that it would be over; 0 where that is not why. */
  readonly over: number;
  /** Those that were taken before it and would not be over in time. */
  readonly others: readonly Id[];
}

/** What becomes of the valves of an outage. */
export interface Fitted {
  /** Jobs that are over within the window, in the order that they were taken. */
  readonly fits: readonly Id[];
  /** Those whose spare can be done before it; a spare stands in for one. */
  readonly before: readonly { readonly id: Id; readonly spare: Id }[];
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
 * Takes jobs into a window one after the other, the first one first, into the time that the plan of the shop's own work
 * leaves: each stays where all that were taken before it, and itself, are still over in time. What does not stay and has a
 * spare is tried before the window. Minutes from now.
 */
export function fitInto(
  shop: Week,
  stands: readonly Placing[],
  asked: readonly Asked[],
  window: Window,
  budget: Budget,
): Fitted {
  const week = { ...shop, pinned: stands.map(pinAt) };
  const within = asked.map(({ job }) => ({ ...job, release: window.from, due: window.to, hard: true }));
  const tried = (taken: readonly WeekJob[]) => {
    const plan = planned(week, taken, budget);
    const late = plan && latenessOf({ ...week, jobs: [...week.jobs, ...taken] }, plan);
    const later =
      late && [...late].filter(([id, minutes]) => minutes > 0 && taken.some((job) => job.id === id));
    return plan && later && { plan, later };
  };
  const whole = tried(within);
  if (whole?.later.length === 0)
    return { fits: asked.map(({ job }) => job.id), before: [], left: [], plan: whole.plan };

  let plan = stands;
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
  const before: { id: Id; spare: Id }[] = [];
  const askedOf = new Map(asked.map((each) => [each.job.id, each]));
  const left = unfit.filter(({ id }) => {
    const own = askedOf.get(id);
    const spare = own?.spares.find((each) => before.every(({ spare: used }) => used !== each));
    if (!own || spare === undefined) return true;
    if (take({ ...own.job, release: 0, due: window.from, hard: true })) return true;
    before.push({ id, spare });
    return false;
  });
  return { fits, before, left, plan };
}

const pinAt = ({ job, id, start, place, person }: Placing): WeekPin => ({
  ...{ job, id, start },
  ...(place === undefined ? {} : { place }),
  ...(person === undefined ? {} : { person }),
});

function planned(week: Week, taken: readonly WeekJob[], budget: Budget): readonly Placing[] | undefined {
  const instance = instanceOf({ ...week, jobs: [...week.jobs, ...taken] });
  const solved = instance.ok ? instant(instance.value, budget) : instance;
  return solved.ok ? solved.value.plan.map(placingOf) : undefined;
}
