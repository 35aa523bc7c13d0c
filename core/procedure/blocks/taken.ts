import type { RoundOf } from '../../job';
import type { MeasureAsk, MeasureTask, RoundAsk, WayRoundTask } from '../../task';
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

/** Which way round something came, chosen between two drawn pictures. */
export const seenRound = (...whats: readonly RoundOf[]): WayRoundTask => ({
  kind: 'way-round',
  rounds: whats.map((what) => ({ what })),
});

/** And how it goes back: as the trade has settled it, else as that step saw it, or turned from it. */
export const putRound = (by: StepName, what: RoundOf, how: Pick<RoundAsk, 'turned'> = {}): WayRoundTask => ({
  kind: 'way-round',
  rounds: [{ what, was: spelt(by, 1), ...how }],
});

/** What the trade has settled, whatever it was found like. */
export const settledRound = (...whats: readonly RoundOf[]): WayRoundTask => ({
  kind: 'way-round',
  rounds: whats.map((what) => ({ what, settled: true })),
});
