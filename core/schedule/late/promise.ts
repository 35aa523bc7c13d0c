import { instant } from '../engine/instant';
import type { Budget } from '../engine/improve';
import { instanceOf, type Instance, type NoPlan, type Task } from '../instance';
import type { Placed } from '../placed';
import { randomFrom } from '../engine/random';
import { buildAgain } from '../engine/timeline';
import { ok, type Result } from '../../problem';
import type { Id, Placing, Week, WeekJob } from '../week';

/** Done over planned, as it came out before, for a task: 1 is as planned. One of them by chance is what it takes. */
export type Spread = (task: Task) => readonly number[];

/** When a job is over in many weeks that go as weeks went, sooner ones first. Minutes from now. */
export interface Promised {
  readonly ends: readonly number[];
}

/** A job wants so little of the others that none of them is later for it. */
const LEAST_WEIGHT = 1e-4;

/**
 * When a new job would be over: put in where it makes none of the others later, and gone through in as many weeks as
 * asked, each as long as its work may come out (handbook part 7, section 2). Medians understate a sum, so a promise is a
 * day of these.
 */
export function promise(
  week: Week,
  stood: readonly Placing[],
  job: WeekJob,
  spread: Spread,
  { budget, weeks = 1000, seed = 1 }: { budget: Budget; weeks?: number; seed?: number },
): Result<Promised, NoPlan> {
  const asked = { ...job, due: job.release, hard: false, weight: LEAST_WEIGHT };
  const instance = instanceOf({ ...week, jobs: [...week.jobs, asked] }, stood);
  if (!instance.ok) return instance;
  const solved = instant(instance.value, budget);
  if (!solved.ok) return solved;
  return ok({ ends: simulated(instance.value, solved.value.plan, job.id, spread, weeks, seed) });
}

/** The same plan in many weeks: each task in its order and by who was to do it, as long as it comes out. */
export function simulated(
  instance: Instance,
  plan: readonly Placed[],
  job: Id,
  spread: Spread,
  weeks: number,
  seed = 1,
): number[] {
  const random = randomFrom(seed);
  const ratios = instance.tasks.map(spread);
  const own = instance.tasks.filter((task) => task.job.id === job);
  return Array.from({ length: weeks }, () => {
    const minutes = instance.tasks.map((task, i) => {
      const known = ratios[i] ?? [];
      return Math.round(task.minutes * (known[Math.floor(random() * known.length)] ?? 1));
    });
    const built = buildAgain(instance, plan, { minutes });
    if (!built) return Infinity;
    const ends = new Map(built.plan.map(({ task, end }) => [task, end]));
    return Math.max(0, ...own.map((task) => ends.get(task) ?? 0));
  }).toSorted((a, b) => a - b);
}

/** In what share of weeks it is over by then. */
export const chanceBy = ({ ends }: Promised, minute: number): number =>
  ends.length === 0 ? 0 : ends.filter((end) => end <= minute).length / ends.length;
