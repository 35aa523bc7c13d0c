import { must } from '../problem';
import { stockOrderPoint } from '../workings';

/** What a part in a bin is wanted for, and what there is of it. */
export interface Demand {
  /** Jobs that took it, in so many years. */
  readonly jobs: number;
  readonly years: number;
  /** Pieces that one of them took, in the mean. */
  readonly pieces: number;
  readonly leadDays: number;
  readonly onHand: number;
  /** It is new at every job of its type: what is planned says how many, not what was. */
  readonly planned?: number;
}

/** How many to keep, and what that says of what lies there. */
export interface ToKeep {
  readonly orderPoint: number;
  readonly expected: number;
  readonly verdict: 'order' | 'enough' | 'overstocked' | 'not wanted';
}

const CHANCE = 0.95;
/** More than this many years' use over the order point lies too long: seals age, money rests. */
const YEARS_TOO_MANY = 3;

/**
 * How many of a part to have: by Poisson from what jobs took and the lead time; of what every job of its type takes, as
 * many as the jobs want that fall due before an order would be here. Source: handbook part 7, section 1.
 */
export function toKeep({ jobs, years, pieces, leadDays, onHand, planned }: Demand): ToKeep {
  const perYear = jobs / years;
  const each = Math.max(1, Math.round(pieces));
  const { orderPoint, expected } =
    planned === undefined
      ? must(stockOrderPoint.work({ perYear, leadDays, chance: CHANCE, pieces: each })).result
      : { orderPoint: planned * each, expected: planned };
  if (jobs === 0 && !planned) return { orderPoint: 0, expected: 0, verdict: 'not wanted' };
  const tooMany = orderPoint + YEARS_TOO_MANY * perYear * each;
  const verdict =
    onHand <= orderPoint && orderPoint > 0
      ? 'order'
      : onHand > Math.max(tooMany, each)
        ? 'overstocked'
        : 'enough';
  return { orderPoint, expected, verdict };
}
