import type { ClosureKind, ClosureOf, Features } from '../../valve';
import type { Fragment } from '../draft';
import { ball } from './ball';
import { ballInCage } from './ball-in-cage';
import { balancedPlug } from './balanced-plug';
import { captiveDisc } from './captive-disc';
import type { ClosureProcedure } from './closure';
import { doublePlug } from './double-plug';
import { dumpDisc } from './dump-disc';
import { eccentricPlug } from './eccentric-plug';
import { expandingGates } from './expanding-gates';
import { guidedCheck } from './guided-check';
import { pilotDiaphragm } from './pilot-diaphragm';
import { reliefDisc } from './relief-disc';
import { shearPiston } from './shear-piston';
import { sphericalPlug } from './spherical-plug';
import { springRegulator } from './spring-regulator';
import { swingDisc } from './swing-disc';
import { swivelDisc } from './swivel-disc';
import { taperPlug } from './taper-plug';
import { vane } from './vane';
import { wedge } from './wedge';

/** Its steps are those of what moves it: diaphragm or cylinder are one unit with it. */
const WITH_ITS_MOVER: ClosureProcedure = {};

const CLOSURES: { readonly [K in ClosureKind]: ClosureProcedure<ClosureOf<K>> } = {
  'swivel-disc': swivelDisc,
  'captive-disc': captiveDisc,
  wedge,
  'expanding-gates': expandingGates,
  'taper-plug': taperPlug,
  'eccentric-plug': eccentricPlug,
  'guided-check': guidedCheck,
  'swing-disc': swingDisc,
  ball,
  'double-plug': doublePlug,
  'balanced-plug': balancedPlug,
  'ball-in-cage': ballInCage,
  'spherical-plug': sphericalPlug,
  vane,
  'ratio-plug': WITH_ITS_MOVER,
  'hygienic-plug': WITH_ITS_MOVER,
  'dump-disc': dumpDisc,
  'spring-regulator': springRegulator,
  'shear-piston': shearPiston,
  'pilot-diaphragm': pilotDiaphragm,
  'relief-disc': reliefDisc,
};

/** How what closes a valve of these features is worked on. */
export const closureProcedure = ({ closure }: Pick<Features, 'closure'>): ClosureProcedure =>
  CLOSURES[closure.kind];

export const closureSteps: Fragment = {
  name: 'closure',
  room: 'closure',
  openings: 'every',
  compose: (c) => closureProcedure(c.features).steps?.(c, c.features.closure) ?? [],
};

export type { ClosureProcedure, FaceAngle, Lift, Proof } from './closure';
