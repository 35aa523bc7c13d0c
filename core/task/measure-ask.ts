import type { InstrumentKind } from '../job';
import type { Dimension, Quantity } from '../quantity';

/** Zero, less than something, or between two figures, themselves included. */
export type Wanted =
  | 'zero'
  | { readonly below: Quantity }
  | { readonly atLeast: Quantity }
  | { readonly from: Quantity; readonly to: Quantity };

/** A figure that two readings make: their mean, read both ways. */
export interface MeanOf {
  readonly what: string;
  readonly of: readonly [rising: string, falling: string];
  readonly mustBe?: Wanted;
}

/** One figure that a step asks for. */
export interface MeasureAsk {
  readonly what: string;
  readonly dimension: Dimension;
  readonly example: string;
  /** Absent where it is counted, not read. */
  readonly instrument?: InstrumentKind;
  /** None at all is a reading too. */
  readonly orNought?: true;
  /** Id of the step that took the same figure before: the difference is shown. */
  readonly was?: string;
  /** Only this reading finishes the step. */
  readonly mustBe?: Wanted;
}
