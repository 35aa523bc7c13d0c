import type { ClosureKind, ClosureOf, Valve } from '@dusk-wren/core/valve';
import type { Piece } from '../sections/section';
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

/** A valve drawn by what closes it. A method, not a property: its parameters compare both ways. */
interface ClosureDrawing<F> {
  draw(valve: Valve, own: F): Piece;
}

const CLOSURES: { readonly [K in ClosureKind]: ClosureDrawing<ClosureOf<K>> } = {
  'swivel-disc': { draw: swivelDisc },
  'captive-disc': { draw: captiveDisc },
  wedge: { draw: wedge },
  'expanding-gates': { draw: expandingGates },
  'taper-plug': { draw: taperPlug },
  'eccentric-plug': { draw: eccentricPlug },
  'guided-check': { draw: guidedCheck },
  'swing-disc': { draw: swingDisc },
  ball: { draw: ball },
  'double-plug': { draw: doublePlug },
  'balanced-plug': { draw: balancedPlug },
  'ball-in-cage': { draw: ballInCage },
  'spherical-plug': { draw: sphericalPlug },
  vane: { draw: vane },
  'ratio-plug': { draw: ratioPlug },
  'hygienic-plug': { draw: hygienicPlug },
  'dump-disc': { draw: dumpDisc },
  'spring-regulator': { draw: springRegulator },
  'shear-piston': { draw: shearPiston },
  'pilot-diaphragm': { draw: pilotDiaphragm },
  'relief-disc': { draw: reliefDisc },
};

/** The whole valve in section, before what it has not is left out. */
export function drawnBy(valve: Valve): Piece {
  const { closure } = valve.features;
  const drawing: ClosureDrawing<typeof closure> = CLOSURES[closure.kind];
  return drawing.draw(valve, closure);
}
