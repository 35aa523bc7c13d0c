import { median } from '../analysis';
import type { Course } from '../job';
import { daysAfter, daysBetween, quantity, valueIn, type Quantity } from '../quantity';
import { followed, lifeTrend } from '../workings';

/** The late end of the band: a day, or none that is said. */
export type Late = { readonly day: string } | 'not in sight' | 'beyond';

/** When a measure meets its limit. */
export type Meets =
  | {
      readonly kind: 'date';
      readonly at: string;
      /** The early end of the band: what a due date goes by. */
      readonly early: string;
      readonly late: Late;
    }
  | { readonly kind: 'over limit' | 'not in sight' | 'beyond' | 'too few' };

/** Times the time covered that a date is said ahead. */
const FARTHEST = 3;
const LEAST_RATES = 2;

/**
 * When a measure meets its limit, by its course. What is used up goes by the line through its wear between jobs, metal
 * that was machined off taken out of the line and off what is left; what is put back by the median rate between how one
 * job left it and the next found it. Source: handbook part 7, section 1; Sen 1968.
 */
export function meetsOf(course: Course): Meets {
  return course.kind === 'used up' ? usedUp(course) : putBack(course);
}

/** A point in the life of what is used up, as if nothing had ever been machined off it. */
interface Worn {
  readonly at: string;
  readonly value: number;
}

/** How it wore, and what was taken off it or put on it at jobs, in the unit of its limit. */
export function wornOf({ points, limit }: Pick<Course, 'points' | 'limit'>): {
  readonly worn: readonly Worn[];
  readonly machined: number;
} {
  let machined = 0;
  const worn: Worn[] = [];
  for (const { at, found, left } of points) {
    const [was, is] = [found, left].map((each) => each && valueIn(each, limit.unit));
    const first = was ?? is;
    if (first === undefined) continue;
    worn.push({ at, value: first - machined });
    if (was !== undefined && is !== undefined) machined += is - was;
  }
  return { worn, machined };
}

function usedUp(course: Course): Meets {
  const { worn, machined } = wornOf(course);
  const begun = worn[0]?.at;
  if (begun === undefined) return { kind: 'too few' };
  const { dimension, unit, value } = course.limit;
  const of = (amount: number) => followed({ dimension, value: amount, unit });
  const limit = of(value - machined);
  if (!limit) return { kind: 'too few' };
  const worked = lifeTrend.work({
    points: worn.flatMap((point) => {
      const read = of(point.value);
      return read ? [{ at: quantity('time', daysBetween(begun, point.at), 'd'), value: read }] : [];
    }),
    limit,
    direction: course.direction,
  });
  if (!worked.ok) return { kind: 'too few' };
  const { verdict, meets, meetsEarly, meetsLate } = worked.value.result;
  if (verdict === 'too few points') return { kind: 'too few' };
  if (verdict === 'over limit') return { kind: 'over limit' };
  if (!meets) return { kind: 'not in sight' };
  const dayOf = (age: Quantity<'time'>) => daysAfter(begun, valueIn(age, 'd'));
  return {
    kind: 'date',
    at: dayOf(meets),
    early: dayOf(meetsEarly ?? meets),
    late: typeof meetsLate === 'object' ? { day: dayOf(meetsLate) } : (meetsLate ?? 'not in sight'),
  };
}

function putBack({ points, limit, direction }: Course): Meets {
  const amount = (value: Quantity) => valueIn(value, limit.unit);
  const rates = points.flatMap(({ at, found }, i) => {
    const before = points[i - 1];
    const days = before ? daysBetween(before.at, at) : 0;
    return found && before?.left && days > 0 ? [(amount(found) - amount(before.left)) / days] : [];
  });
  const last = points.at(-1);
  const now = last?.left ?? last?.found;
  if (!last || !now) return { kind: 'too few' };
  const towards = direction === 'rising' ? 1 : -1;
  const room = towards * (limit.value - amount(now));
  if (room < 0) return { kind: 'over limit' };
  if (rates.length < LEAST_RATES) return { kind: 'too few' };
  const sorted = rates.map((rate) => towards * rate).sort((a, b) => a - b);
  const rate = median(sorted);
  if (rate <= 0) return { kind: 'not in sight' };
  const [flat = rate] = sorted;
  const covered = daysBetween(points[0]?.at ?? last.at, last.at);
  const dayOf = (by: number) => daysAfter(last.at, room / by);
  if (room / rate > FARTHEST * covered) return { kind: 'beyond' };
  return {
    kind: 'date',
    at: dayOf(rate),
    // No band is known of so few intervals: it is due by the median.
    early: dayOf(rate),
    late: flat <= 0 ? 'not in sight' : room / flat > FARTHEST * covered ? 'beyond' : { day: dayOf(flat) },
  };
}
