import { balancedPlug } from './balanced-plug';
import { ball } from './ball';
import { ballInCage } from './ball-in-cage';
import { captiveDisc } from './captive-disc';
import { doublePlug } from './double-plug';
import { dumpDisc } from './dump-disc';
import { eccentricPlug } from './eccentric-plug';
import { expandingGates } from './expanding-gates';
import { guidedCheck } from './guided-check';
import { hygienicPlug } from './hygienic-plug';
import { pilotDiaphragm } from './pilot-diaphragm';
import { ratioPlug } from './ratio-plug';
import { reliefDisc } from './relief-disc';
import { shearPiston } from './shear-piston';
import { sphericalPlug } from './spherical-plug';
import { springRegulator } from './spring-regulator';
import { swingDisc } from './swing-disc';
import { swivelDisc } from './swivel-disc';
import { taperPlug } from './taper-plug';
import { vane } from './vane';
import { wedge } from './wedge';
import type { ClosureKind, ClosureOf, Features } from '../features';
import type { Closure } from './closure';

/** Every kind of closure. */
const CLOSURES: { readonly [K in ClosureKind]: Closure<ClosureOf<K>> } = {
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
  'ratio-plug': ratioPlug,
  'hygienic-plug': hygienicPlug,
  'dump-disc': dumpDisc,
  'spring-regulator': springRegulator,
  'shear-piston': shearPiston,
  'pilot-diaphragm': pilotDiaphragm,
  'relief-disc': reliefDisc,
};

/** What closes a valve of these features. */
export const closureOf = ({ closure }: Pick<Features, 'closure'>): Closure => CLOSURES[closure.kind];

/** It opens by itself to let pressure out, and is never tried in its line. */
export const relieves = ({ duty }: Closure): boolean =>
  duty === 'relieve by a spring' || duty === 'relieve by a pin';

export type { Closure, Contact, Fits, OwnFeature } from './closure';
