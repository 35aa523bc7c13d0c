import type { Stage } from '../job';
import type { Plan } from './plan';

/** The shop's working day. */
export const SHOP_HOURS = { minutesPerDay: 8 * 60, restDays: [0, 6] } as const;

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

const DAY = 24 * 60 * 60 * 1000;

function addWork(from: Date, minutes: number): Date {
  let day = new Date(from);
  let left = minutes;
  while (isRest(day) || left > SHOP_HOURS.minutesPerDay) {
    if (!isRest(day)) left -= SHOP_HOURS.minutesPerDay;
    day = new Date(day.getTime() + DAY);
  }
  return day;
}

const isRest = (day: Date): boolean => SHOP_HOURS.restDays.some((rest) => rest === day.getUTCDay());

/** A day some working days on, for an order's expected date. */
export function workingDaysFrom(now: string, days: number): string {
  return isoDay(addWork(new Date(now), days * SHOP_HOURS.minutesPerDay + 1));
}

const isoDay = (day: Date): string => day.toISOString().slice(0, 10);
