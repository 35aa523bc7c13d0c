import { quantity, type Dimension, type Quantity, type Temperature } from '../quantity';
import { closureOf, moverOf, type HeldSpring, type PartRole, type Valve } from '../valve';
import type { Line, Side } from './line';

export const ENERGIES = [
  'upstream pressure',
  'downstream pressure',
  'cavity pressure',
  'supply air',
  'signal air',
  'electrical',
  'weight',
  'heat',
  'spring',
] as const;
export type EnergyKind = (typeof ENERGIES)[number];

/** What an instrument must show before the energy counts as gone. */
export type Proof =
  | {
      readonly kind: 'reading';
      readonly what: string;
      readonly dimension: Dimension;
      readonly example: string;
      readonly at: string;
      readonly mustBe: 'zero' | { readonly below: Quantity };
    }
  /** Seen, not read: it is held, and tried by hand. */
  | { readonly kind: 'tried'; readonly how: string }
  /** It cannot be let out before the strip: said here, and held by a step of the strip. */
  | {
      readonly kind: 'held';
      readonly how: string;
      /** The parts that hold it: it is gone once one of them is off. */
      readonly by: readonly PartRole[];
    };

/** One energy that can hurt whoever opens this valve, where it stands and what proves it gone. */
export interface Energy {
  readonly kind: EnergyKind;
  readonly where: string;
  readonly proof: Proof;
}

/** Skin burns at about this (common practice, ISO 13732-1 gives thresholds by material; from memory). */
export const TOUCHABLE: Temperature = quantity('temperature', 50, '°C');

/** A guided check is pressed on its seat by a spring under the cover; a swing check hangs. */
const UNDER_COVER: HeldSpring = {
  how: 'spring under the cover: two opposing bolts stay to the last, the cover clamped',
  by: ['spring'],
};

/** Every energy of this valve in this line, in the order in which each is let out. */
export function energiesOf(valve: Valve, line: Line): Energy[] {
  const { features, medium } = valve;
  const closure = closureOf(features);
  const mover = moverOf(features);
  const spring = closure.springUnderCover ? UNDER_COVER : mover.spring;
  const hot = medium?.hazards.includes('hot') ?? false;
  return [
    ...sidePressure('upstream', line),
    ...sidePressure('downstream', line),
    ...(closure.cavity ? [cavity(line)] : []),
    ...(line.air ? [air('supply air', 'actuator and positioner', 'supply pressure')] : []),
    ...(line.signal === 'pneumatic' ? [air('signal air', 'signal line', 'signal pressure')] : []),
    ...(line.power || line.signal === 'electric' ? [ELECTRICAL] : []),
    ...(mover.weight ? [WEIGHT] : []),
    ...(hot ? [HEAT] : []),
    ...(spring === undefined
      ? []
      : [{ kind: 'spring', where: 'spring', proof: { kind: 'held', ...spring } } satisfies Energy]),
  ];
}

function sidePressure(at: Side, line: Line): Energy[] {
  if (line[at].shutBy === 'open end') return [];
  return [pressure(`${at} pressure`, `${at} side`, `pressure ${at}`, `the ${at} vent`)];
}

const cavity = (line: Line): Energy =>
  pressure(
    'cavity pressure',
    'body cavity',
    'pressure in the cavity',
    line.bodyVent ? 'the body fitting' : 'the vents, the valve standing half open',
  );

const air = (kind: 'supply air' | 'signal air', where: string, what: string): Energy =>
  pressure(kind, where, what, `the opened ${kind.split(' ')[0] ?? ''} line`);

function pressure(kind: EnergyKind, where: string, what: string, at: string): Energy {
  return {
    kind,
    where,
    proof: {
      kind: 'reading',
      what,
      dimension: 'gauge pressure',
      example: '0 psig',
      at,
      mustBe: 'zero',
    },
  };
}

const ELECTRICAL: Energy = {
  kind: 'electrical',
  where: 'coil, positioner or switches',
  proof: {
    kind: 'reading',
    what: 'voltage',
    dimension: 'voltage',
    example: '0 V',
    at: 'the terminals, the tester tried on a live point before and after',
    mustBe: 'zero',
  },
};

const WEIGHT: Energy = {
  kind: 'weight',
  where: 'weight and lever',
  proof: { kind: 'tried', how: 'blocked up or taken off; the lever does not fall when it is let go' },
};

const HEAT: Energy = {
  kind: 'heat',
  where: 'body and bonnet',
  proof: {
    kind: 'reading',
    what: 'body temperature',
    dimension: 'temperature',
    example: '35 °C',
    at: 'the body',
    mustBe: { below: TOUCHABLE },
  },
};
