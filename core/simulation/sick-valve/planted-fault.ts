import { closesByAir, type Features } from '../../valve';
import { priorsOf, symptomsOf, type Sign, type SymptomId } from '../../diagnosis';
import type { Chance } from '../random';
import { elementOf, scaleOf, type Element } from './element';

/** What can be planted in a simulated control valve. */
export const PLANTED_FAULTS = [
  'supply low',
  'signal lost',
  'flapper dirty',
  'relay faulty',
  'gain too high',
  'positioner out of set',
  'trip solenoid shut',
  'tubing leaks',
  'diaphragm torn',
  'bench set wrong',
  'piston ring leaks',
  'cylinder seals leak',
  'lock engaged',
  'coupled short',
  'closed stop out',
  'pin sheared',
  'packing too tight',
  'bottom guide blocked',
  'guides galled',
  'bushing worn',
  'debris',
  'soft seat cut',
  'balance seal leaks',
  'seat gasket leaks',
  'seat worn',
  'oversize or process',
] as const;
export type PlantedFault = (typeof PLANTED_FAULTS)[number];

/** A control valve with its positioner and actuator, in psi and percent; what is amiss is in its figures. */
export interface Body {
  readonly element: Element;
  readonly closesByAir: boolean;
  readonly supply: number;
  /** Share of the signal that arrives, that the feedback makes of it, and the stroke it asks for at none. */
  readonly signalShare: number;
  readonly feedback: number;
  readonly zero: number;
  /** Shares of the supply that relay, flapper and the line to the actuator let through, and that the element keeps. */
  readonly relay: number;
  readonly flapper: number;
  readonly line: number;
  readonly keeps: number;
  readonly gain: number;
  readonly pistonLeak: number;
  readonly sealLeak: number;
  /** Where its spring starts, beside the plate's. */
  readonly start: number;
  /** Friction on the element: of packing, and of guides. */
  readonly packing: number;
  readonly guides: number;
  /** The stroke, 0 to 1, that locks, stops and what lies under the plug leave it. */
  readonly least: number;
  readonly most: number;
  /** Leak that a flush takes away, that stays, that more force stops, that running the plug down stops. */
  readonly loose: number;
  readonly worn: number;
  readonly light: number;
  readonly coupledShort: number;
  readonly process: number;
  readonly signs: ReadonlySet<Sign>;
}

/** The symptom that a valve of these features shows with this fault, where none is asked for. */
export function symptomWith(fault: PlantedFault, features: Features): SymptomId | undefined {
  return symptomsOf(features).find((symptom) => priorsOf(symptom, features).has(fault));
}

/** One valve of a kind, a little different from the next, with one fault planted in it as bad as the symptom needs. */
export function plant(
  fault: PlantedFault,
  symptom: SymptomId | undefined,
  features: Features,
  dice: Chance,
): Body {
  const about = (value: number, spread = 0.08) => value * (1 + spread * dice.normal());
  const element = elementOf(features);
  const scale = scaleOf(element);
  const air = closesByAir(features);
  const sound: Body = {
    element,
    closesByAir: air,
    supply: about(1.2 * element.supplyWanted, 0.03),
    signalShare: Math.min(1, about(1, 0.01)),
    feedback: about(1, 0.01),
    zero: 0,
    relay: 1,
    flapper: 1,
    line: 1,
    keeps: 1,
    gain: about(1),
    pistonLeak: Math.abs(dice.normal()),
    sealLeak: Math.abs(dice.normal()) * 0.6,
    start: about(element.start, 0.05),
    packing: about(0.5 * scale),
    guides: about(0.25 * scale),
    least: 0,
    most: 1,
    loose: 0,
    worn: 0,
    light: 0,
    coupledShort: 0,
    process: 0,
    signs: new Set(),
  };
  const { supply, start } = sound;
  const friction = sound.packing + sound.guides;
  /** The air that brings it to half, and the friction that keeps it there against all the air, or against its spring. */
  const halfAir = start + element.span / 2 + friction;
  const holding = symptom === 'short of shut' && !element.bothSides ? halfAir : supply - halfAir;
  /** The share of something that the symptom leaves. */
  const left = (): number =>
    symptom === 'no motion' ? 0.05 : symptom === 'half travel' ? about(halfAir / supply, 0.05) : about(0.42);
  const stuckBy = (): number => {
    if (symptom === 'no motion') return about(1.5 * supply);
    return symptom === 'half travel' || symptom === 'short of shut' ? about(holding, 0.04) : about(5 * scale);
  };
  /** Off the end that the symptom is about: where air ends its stroke, or where it begins. */
  const keptOff = (end: 'shut' | 'far', by: number): Pick<Body, 'least' | 'most'> =>
    (end === 'shut') === air ? { least: 0, most: 1 - by } : { least: by, most: 1 };
  const underThePlug = (by: number) => keptOff('shut', about(by));
  const sign = (...signs: readonly Sign[]) => ({ signs: new Set(signs) });
  switch (fault) {
    case 'supply low':
      return { ...sound, supply: supply * left() };
    case 'signal lost':
      return { ...sound, signalShare: symptom === 'no motion' ? 0.02 : about(0.5) };
    case 'flapper dirty':
      return { ...sound, flapper: left() };
    case 'relay faulty':
      return { ...sound, relay: left(), gain: about(1.1) };
    case 'gain too high':
      return { ...sound, gain: about(3) };
    case 'positioner out of set':
      return symptom === 'short of shut'
        ? { ...sound, ...sign('feedback slipped'), zero: about(0.35) }
        : { ...sound, ...sign('feedback slipped'), feedback: about(0.5) };
    case 'trip solenoid shut':
      return { ...sound, ...sign('trip dead'), line: 0.04 };
    case 'tubing leaks':
      return { ...sound, ...sign('tubing leaks'), line: left() };
    case 'diaphragm torn':
      return { ...sound, keeps: left() };
    case 'bench set wrong': {
      if (symptom === 'short of shut') return { ...sound, start: -about(0.35 * element.span) };
      if (symptom === 'passes when shut')
        return { ...sound, light: about(3), start: start + (air ? 3.4 : -2.6) * scale };
      return { ...sound, start: start + supply - halfAir };
    }
    case 'piston ring leaks':
      return { ...sound, pistonLeak: about(26) };
    case 'cylinder seals leak':
      return { ...sound, sealLeak: about(16) };
    case 'lock engaged': {
      const at = about(0.5);
      const held = symptom === 'no motion' ? { least: at, most: at } : { least: 0, most: at };
      return { ...sound, ...sign('lock engaged'), ...(symptom === 'short of shut' ? { least: at } : held) };
    }
    case 'coupled short':
      return { ...sound, coupledShort: about(3) };
    case 'closed stop out':
      return {
        ...sound,
        ...sign('shaft off its mark'),
        ...keptOff('shut', about(symptom === 'passes when shut' ? 0.02 : 0.22)),
        worn: about(2),
      };
    case 'pin sheared':
      return { ...sound, ...sign('flow does not answer'), worn: about(20) };
    case 'packing too tight':
      return { ...sound, packing: stuckBy() };
    case 'bottom guide blocked':
      return { ...sound, ...underThePlug(0.48), ...sign('weep hole blocked') };
    case 'guides galled':
      return symptom === 'short of shut' && element.bothSides
        ? { ...sound, guides: about(5 * scale), least: about(0.4) }
        : { ...sound, guides: stuckBy() };
    case 'bushing worn':
      return { ...sound, ...sign('stem moves sideways'), guides: about(0.6 * scale) };
    case 'debris':
      return { ...sound, ...underThePlug(symptom === 'passes when shut' ? 0.03 : 0.4), loose: about(3) };
    case 'soft seat cut':
      return { ...sound, ...sign('soft seat cut'), worn: about(3) };
    case 'balance seal leaks':
      return { ...sound, ...sign('seal cut'), worn: about(2) };
    case 'seat gasket leaks':
      return { ...sound, ...sign('gasket tracked'), worn: about(2) };
    case 'seat worn':
      return { ...sound, worn: about(3) };
    case 'oversize or process':
      return { ...sound, process: about(9) };
  }
}
