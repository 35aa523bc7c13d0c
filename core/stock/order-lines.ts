import type { JobState } from '../job';
import type { Phrase } from '../quantity';
import { SHOP_HOURS, workingDaysBefore, type Plan } from '../plan';
import type { PartRole } from '../valve';

/** A part that a call renews, from the call to its arrival. */
export interface OrderLine {
  /** The step that orders it, or that takes it in once it is on order. */
  readonly step: string;
  readonly part: PartRole;
  readonly reason: Phrase;
  readonly leadDays: number;
  /** The latest day it can be ordered and the job still be ready when it is wanted; absent while no day is wanted. */
  readonly orderBy?: string;
  /** The last day to order it has passed, or the day it was to come. */
  readonly late: boolean;
  readonly expected?: string;
  readonly state: 'to order' | 'on order' | 'arrived';
}

/** Order lines of a job, the most pressing first. */
export function orderLines(current: Plan, state: JobState, today: string): OrderLine[] {
  const due = state.records['job-opened'][0]?.body.due;
  return current.steps
    .flatMap((step): OrderLine[] => {
      const { task } = step;
      if (task.kind !== 'order') return [];
      const expected = state.records['part-ordered'].findLast(({ body }) => body.part === task.part)?.body
        .expected;
      const arrived = state.records['part-arrived'].some(({ body }) => body.part === task.part);
      const orderBy =
        due === undefined ? undefined : workingDaysBefore(due, task.leadDays + daysAfter(current, task.part));
      return [
        {
          step: expected === undefined || arrived ? step.id : arrivalOf(current, task.part),
          part: task.part,
          reason: step.because.text,
          leadDays: task.leadDays,
          ...(orderBy === undefined ? {} : { orderBy }),
          late:
            !arrived &&
            (expected === undefined ? orderBy !== undefined && orderBy < today : expected < today),
          ...(expected === undefined ? {} : { expected }),
          state: arrived ? 'arrived' : expected === undefined ? 'to order' : 'on order',
        },
      ];
    })
    .sort((a, b) => (a.orderBy ?? '9').localeCompare(b.orderBy ?? '9'));
}

const arrivalOf = ({ steps }: Plan, part: PartRole): string =>
  steps.find(({ task }) => task.kind === 'arrive' && task.part === part)?.id ?? '';

/** Working days of work that can only follow the part. */
function daysAfter(current: Plan, part: PartRole): number {
  const arrives = arrivalOf(current, part);
  const from = current.steps.findIndex(({ on, after }) => on.includes(part) || after.includes(arrives));
  const minutes = current.steps
    .slice(from < 0 ? current.steps.length : from)
    .filter(({ status }) => status !== 'done')
    .reduce((sum, step) => sum + step.minutes, 0);
  return Math.ceil(minutes / SHOP_HOURS.minutesPerDay);
}
