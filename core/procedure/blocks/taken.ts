import type { MeasureAsk, MeasureTask } from '../../task';
import { spelt, type StepName } from '../relations';

/** What a step loses is taken by it. */
export const taken = (...asks: readonly MeasureAsk[]): MeasureTask => ({ kind: 'measure', asks });

/** And compared by the step that restores it, both shown side by side. */
export const compared = (by: StepName, ...asks: readonly MeasureAsk[]): MeasureTask =>
  taken(...asks.map((ask) => ({ ...ask, was: spelt(by, 1) })));

/** Turns of a screw, a nut or a clevis. */
export const turnsAsk = (what: string, example: string): MeasureAsk => ({
  what,
  dimension: 'angle',
  example,
});

/** Something that is counted. */
export const countAsk = (what: string, example: string): MeasureAsk => ({
  what,
  dimension: 'count',
  example,
});
