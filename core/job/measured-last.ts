import { ofDimension, type Dimension, type Quantity } from '../quantity';
import type { JobState } from './state';

/** A figure as the job has read it last, whichever step took it; nothing where it is of another dimension. */
export function measuredLast<D extends Dimension>(
  state: JobState,
  what: string,
  dimension: D,
): Quantity<D> | undefined {
  return ofDimension(
    state.records.measured.findLast(({ body }) => body.what === what)?.body.value,
    dimension,
  );
}
