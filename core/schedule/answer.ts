import type { Bounds } from './bounds/bound';
import type { Instance } from './instance';
import { lateness, type Score } from './score';
import type { Placed } from './placed';
import type { Solved } from './engine/instant';
import type { Placing } from './week';

/** A plan as it is printed. */
export interface WeekPlan {
  readonly operations: readonly Placing[];
  readonly lateness: Readonly<Record<string, number>>;
  readonly end: number;
  readonly objective: number;
  readonly bound: number;
  readonly gap: number;
  readonly feasible: true;
}

export const placingOf = ({ task, way, start, end }: Placed): Placing => ({
  job: task.job.id,
  id: task.id,
  ...(way.unit && { place: way.unit.id }),
  ...(way.person && { person: way.person.id }),
  start,
  end,
});

export function weekPlan(instance: Instance, { plan, score, bounds }: Solved): WeekPlan {
  const late = lateness(instance, plan);
  return {
    operations: plan.map(placingOf),
    lateness: Object.fromEntries(instance.jobs.map(({ id, index }) => [id, late[index] ?? 0])),
    end: score.end,
    ...qualityOf(score, bounds),
    feasible: true,
  };
}

/** How far from the best a plan can be at most; 0 is the best there is. */
export interface Quality {
  readonly objective: number;
  readonly bound: number;
  readonly gap: number;
}

/**
 * Of what is wanted in strict order, the first that is not 0 and not proved (handbook part 7, section 2); where all is
 * proved, the first that is not 0.
 */
export function qualityOf(score: Score, bounds: Bounds): Quality {
  const levels = (['hard', 'late', 'end'] as const).map((level) => ({
    objective: score[level],
    bound: Math.min(score[level], bounds[level]),
  }));
  const shown = levels.find(({ objective, bound }) => objective !== 0 && bound < objective) ??
    levels.find(({ objective }) => objective !== 0) ?? { objective: 0, bound: 0 };
  return { ...shown, gap: shown.objective === 0 ? 0 : (shown.objective - shown.bound) / shown.objective };
}
