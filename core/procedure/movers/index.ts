import { closureOf, type Features, type MoverKind, type MoverOf } from '../../valve';
import type { Fragment } from '../draft';
import { diaphragmOnStem } from './diaphragm-on-stem';
import { hygienicCylinder } from './hygienic-cylinder';
import type { MoverProcedure } from './mover';
import { piston } from './piston';
import { rangeSpring } from './range-spring';
import { rollingDiaphragm } from './rolling-diaphragm';
import { setSpring } from './set-spring';
import { springDiaphragm } from './spring-diaphragm';
import { vaneArm } from './vane-arm';
import { weightLever } from './weight-lever';

/** It comes off and goes back with the joint, the stem or the closure. */
const WITH_THE_REST: MoverProcedure = {};

const MOVERS: { readonly [K in MoverKind]: MoverProcedure<MoverOf<K>> } = {
  handwheel: WITH_THE_REST,
  wrench: WITH_THE_REST,
  lever: WITH_THE_REST,
  'spring-diaphragm': springDiaphragm,
  piston,
  'rolling-diaphragm': rollingDiaphragm,
  'vane-arm': vaneArm,
  'diaphragm-on-stem': diaphragmOnStem,
  'hygienic-cylinder': hygienicCylinder,
  'weight-lever': weightLever,
  'range-spring': rangeSpring,
  flow: WITH_THE_REST,
  'shear-pin': WITH_THE_REST,
  solenoid: WITH_THE_REST,
  'set-spring': setSpring,
};

/** How what moves a valve of these features is worked on. */
export const moverProcedure = ({ moved }: Pick<Features, 'moved'>): MoverProcedure => MOVERS[moved.kind];

export const moverSteps: Fragment = {
  name: 'mover',
  room: 'mover',
  openings: 'every',
  when: (features) => !closureOf(features).repackedInPlace,
  compose: (c) => moverProcedure(c.features).steps?.(c, c.features.moved) ?? [],
};
