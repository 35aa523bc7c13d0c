import type { Cure, Means, Placing, Week } from '@dusk-wren/core/schedule';
import {
  curesOf,
  instanceOf,
  instant,
  lateJobs,
  NO_CLOCK,
  placedAs,
  weekPlan,
} from '@dusk-wren/core/schedule';
import { placingText, type PlacingView } from '@dusk-wren/contract/week';
import { expose } from 'comlink';

/** Another plan, or why there is none. */
export type Tried =
  | { readonly plan: readonly PlacingView[]; readonly why?: never }
  | { readonly plan?: never; readonly why: string };

/** A piece of a late job's chain, as it lies in the plan. */
export interface ChainPiece {
  readonly job: string;
  readonly id: string;
  readonly waited: 'follows' | 'place' | 'person' | 'nothing';
  readonly closed: number;
}

/** While a piece is moved about it is planned again at every step: a tenth of what a plan is given. */
const BUDGET = { ...NO_CLOCK, puts: NO_CLOCK.puts / 10 };

const weekPlanner = {
  /** The week planned again, with as little moved of what stood as can be. */
  tried(week: Week, stood: readonly Placing[]): Tried {
    const instance = instanceOf(week, stood);
    const solved = instance.ok ? instant(instance.value, BUDGET) : instance;
    if (!instance.ok || !solved.ok) return { why: solved.ok ? '' : solved.problem.why };
    return { plan: weekPlan(instance.value, solved.value).operations.map(placingText) };
  },
  /** Why a job is late, the last piece first; nothing where it is not. */
  chain(week: Week, plan: readonly Placing[], job: string): ChainPiece[] {
    const late = lateOf(week, plan, job);
    return (late?.late.chain ?? []).map(({ placed, waitedFor, closed }) => ({
      job: String(placed.task.job.id),
      id: String(placed.task.id),
      waited: waitedFor.kind === 'taken' ? waitedFor.what : waitedFor.kind,
      closed,
    }));
  },
  /** The three cheapest cures of a late job, each tried. */
  cures(week: Week, plan: readonly Placing[], job: string, means: Means): Cure[] {
    const found = lateOf(week, plan, job);
    return found ? curesOf(week, found.plan, found.late, means, BUDGET) : [];
  },
};

function lateOf(week: Week, plan: readonly Placing[], job: string) {
  const instance = instanceOf(week);
  if (!instance.ok) return undefined;
  const placed = placedAs(instance.value, plan);
  const late = placed && lateJobs(instance.value, placed).find((each) => each.job.id === job);
  return late && { late, plan: placed };
}

export type WeekPlanner = typeof weekPlanner;
expose(weekPlanner);
