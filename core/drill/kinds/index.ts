import { drillOf, type Drill } from '../frame/drill';
import { DRILL_IDS, type DrillId } from '../frame/ids';
import { boltIt } from './bolt-it';
import { comesOffNext } from './comes-off-next';
import { fitOrNot } from './fit-or-not';
import { inTheBag } from './in-the-bag';
import { makeItDead } from './make-it-dead';
import { readTheRing } from './read-the-ring';
import { setIt } from './set-it';
import { straightOrBent } from './straight-or-bent';
import { whereIsTheFault } from './where-is-the-fault';
import { whichScrew } from './which-screw';

/** Every kind of exercise, by its id. */
export const DRILLS: Readonly<Record<DrillId, Drill>> = {
  'comes-off-next': drillOf(comesOffNext),
  'make-it-dead': drillOf(makeItDead),
  'where-is-the-fault': drillOf(whereIsTheFault),
  'read-the-ring': drillOf(readTheRing),
  'straight-or-bent': drillOf(straightOrBent),
  'bolt-it': drillOf(boltIt),
  'in-the-bag': drillOf(inTheBag),
  'which-screw': drillOf(whichScrew),
  'set-it': drillOf(setIt),
  'fit-or-not': drillOf(fitOrNot),
};

/** In the order in which they are learnt. */
export const ALL_DRILLS: readonly Drill[] = DRILL_IDS.map((id) => DRILLS[id]);
