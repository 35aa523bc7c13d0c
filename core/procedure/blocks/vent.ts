import type { MeasureAsk } from '../../task';

/** The gauge at an open vent: nothing is opened before it stands at zero. */
export const PRESSURE_AT_VENT: MeasureAsk = {
  what: 'pressure at the vent',
  dimension: 'gauge pressure',
  example: '0 psig',
  instrument: 'gauge',
  mustBe: 'zero',
};
