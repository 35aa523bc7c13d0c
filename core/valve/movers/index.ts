import { diaphragmOnStem } from './diaphragm-on-stem';
import { flow } from './flow';
import { handwheel } from './handwheel';
import { hygienicCylinder } from './hygienic-cylinder';
import { lever } from './lever';
import { piston } from './piston';
import { rangeSpring } from './range-spring';
import { rollingDiaphragm } from './rolling-diaphragm';
import { setSpring } from './set-spring';
import { shearPin } from './shear-pin';
import { solenoid } from './solenoid';
import { springDiaphragm } from './spring-diaphragm';
import { vaneArm } from './vane-arm';
import { weightLever } from './weight-lever';
import { wrench } from './wrench';
import { MOVER_KINDS, type Features, type MoverKind, type MoverOf } from '../features';
import type { Hold, Mover } from './mover';

/** Every kind of mover. */
const MOVERS: { readonly [K in MoverKind]: Mover<MoverOf<K>> } = {
  handwheel,
  wrench,
  lever,
  'spring-diaphragm': springDiaphragm,
  piston,
  'rolling-diaphragm': rollingDiaphragm,
  'vane-arm': vaneArm,
  'diaphragm-on-stem': diaphragmOnStem,
  'hygienic-cylinder': hygienicCylinder,
  'weight-lever': weightLever,
  'range-spring': rangeSpring,
  flow,
  'shear-pin': shearPin,
  solenoid,
  'set-spring': setSpring,
};

/** The kinds that can move what is held so. */
export const moversHolding = (holds: readonly Hold[]): MoverKind[] =>
  MOVER_KINDS.filter((kind) => MOVERS[kind].holds.some((hold) => holds.includes(hold)));

/** What moves a valve of these features. */
export const moverOf = ({ moved }: Pick<Features, 'moved'>): Mover => MOVERS[moved.kind];

export type { HeldSpring, Hold, Mover } from './mover';
