import type { Result } from '../../problem';
import type { Dimension, Quantity } from '../../quantity';
import type { Source } from '../../standards';
import type { PartRole, SheetLength, Valve } from '../../valve';
import type { Worked } from '../../workings';
import type { Verdict } from '../call';

/** Figures as they were read last, by what they are of; undefined where nobody has read one yet. */
export type Readings = <D extends Dimension>(what: string, dimension: D) => Quantity<D> | undefined;

/** One figure that readings come to, against its limit. */
export interface Judged {
  /** What it is, as `clearance`. */
  readonly what: string;
  readonly found: Quantity | string;
  readonly limit?: Quantity | undefined;
  readonly verdict: Verdict;
  /** Whose limit it is. */
  readonly source: Source;
}

/** What readings come to together, and the working behind it. */
export interface Judgements {
  readonly figures: readonly Judged[];
  /** The working, for whoever opens it by itself, and what it was given. */
  readonly working: string;
  readonly given: Readonly<Record<string, Quantity | string>>;
  readonly shown: Pick<Worked<unknown>, 'steps' | 'notes' | 'source'>;
}

/** How readings of one kind are judged, wherever they are taken. */
export interface Judge {
  readonly subject: string;
  /** The figures it goes by. */
  readonly reads: readonly string[];
  /** The part that the call is on; none where the figures only say what to fit. */
  readonly part?: PartRole;
  /** The length of the new part that a maker’s sheet may give for it. */
  readonly sheet?: SheetLength;
  /** The judgement, or why these cannot be the figures of one part; nothing while one is still wanted. */
  readonly judge: (readings: Readings, valve: Valve) => Result<Judgements> | undefined;
}
