import type { InstrumentKind } from '../job';
import type { Dimension, Quantity } from '../quantity';

/** One figure that a step asks for. */
export interface MeasureAsk {
  readonly what: string;
  readonly dimension: Dimension;
  readonly example: string;
  /** Absent where it is counted, not read. */
  readonly instrument?: InstrumentKind;
  /** Id of the step that took the same figure before: the difference is shown. */
  readonly was?: string;
  /** Only this reading finishes the step. */
  readonly mustBe?: 'zero' | { readonly below: Quantity };
}
