import type { Source } from '../standards';
import type { Step as WorkingStep } from '../workings';

/** A figure with the working behind it, to be shown on demand. */
export interface Shown {
  readonly steps: readonly WorkingStep[];
  readonly notes: readonly string[];
  readonly source: Source;
}
