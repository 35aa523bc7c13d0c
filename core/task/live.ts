import type { Screw } from '../job';
import type { Pops } from './pops';
import type { Stroked } from './stroked';

/** A step that is read live: a relief valve that pops, or a valve that is stroked. */
export type Live = Pops | Stroked;

/** The screws that may be turned while it is read. */
export const screwsOf = (live: Live): readonly Screw[] =>
  live.kind === 'stroked' ? live.screws : live.screw ? [live.screw] : [];
