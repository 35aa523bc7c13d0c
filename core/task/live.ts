import type { Screw } from '../job';
import type { Pops } from './pops';
import type { Stroked } from './stroked';
import type { Swept } from './swept';

/** A step that is read live: a relief valve that pops, a valve that is stroked, an actuator that is swept up and down. */
export type Live = Pops | Stroked | Swept;

/** The screws that may be turned while it is read. */
export const screwsOf = (live: Live): readonly Screw[] =>
  live.kind === 'pops' ? (live.screw ? [live.screw] : []) : live.screws;
