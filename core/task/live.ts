import type { Screw } from '../job';
import type { Pops } from './pops';
import type { Regulated } from './regulated';
import type { Response } from './response';
import type { Stroked } from './stroked';
import type { Swept } from './swept';

/** A step that is read live: a relief valve that pops, a valve that is stroked, an actuator that is swept up and down, a valve that answers
 * steps, a regulator’s outlet. */
export type Live = Pops | Stroked | Swept | Response | Regulated;

/** The screws that may be turned while it is read. */
export function screwsOf(live: Live): readonly Screw[] {
  return live.kind === 'pops' ? (live.screw ? [live.screw] : []) : live.screws;
}
