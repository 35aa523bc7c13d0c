import { addWork, isoDay } from './working-days';
import type { Stage } from '../job';
import type { Plan } from './plan';

export interface Awaited {
  readonly expected: string;
  readonly minutesAfter: number;
}

/** The last part on order and the minutes of work from the rebuild on, which wait for it. */
export function awaitedBy(plan: Plan): { awaited?: Awaited } {
  const expected = plan.steps
    .flatMap(({ waits }) => waits)
    .flatMap((wait) => (wait.kind === 'part' && wait.expected !== undefined ? [wait.expected] : []))
    .sort()
    .at(-1);
  if (expected === undefined) return {};
  const minutesAfter = plan.steps
    .filter(({ status, stage }) => status !== 'done' && AFTER_PARTS.includes(stage))
    .reduce((sum, { minutes }) => sum + minutes, 0);
  return { awaited: { expected, minutesAfter } };
}

const AFTER_PARTS: readonly Stage[] = ['rebuild', 'set up', 'test', 'release'];

/**
 * The day a job can be ready, working 8 h on weekdays from `now` (ISO date and time, UTC): the work left, and not
 * before the last part on order is in with what waits for it still to do.
 */
export function readyBy(job: { remainingMinutes: number; awaited?: Awaited }, now: string): string {
  const byWork = addWork(new Date(now), job.remainingMinutes);
  if (!job.awaited) return isoDay(byWork);
  const byPart = addWork(new Date(`${job.awaited.expected}T00:00:00Z`), job.awaited.minutesAfter);
  return isoDay(byPart > byWork ? byPart : byWork);
}
