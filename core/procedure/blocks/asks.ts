import type { MeasureAsk } from '../../task';

/** A length, read by caliper unless told. */
export const lengthAsk = (
  what: string,
  example: string,
  instrument: NonNullable<MeasureAsk['instrument']> = 'caliper',
): MeasureAsk => ({ what, dimension: 'length', example, instrument });

/** A pressure, read on a gauge. */
export const pressureAsk = (what: string, example: string): MeasureAsk => ({
  what,
  dimension: 'gauge pressure',
  example,
  instrument: 'gauge',
});
