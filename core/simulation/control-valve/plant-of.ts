import { psig, quantity, si, valueIn, type GaugePressure, type Ratio } from '../../quantity';
import { closesByAir, moverOf, type Valve } from '../../valve';
import { chance, seedFrom, type Chance } from '../random';
import type { PlantedFault } from '../sick-valve/planted-fault';
import { elementOf } from '../sick-valve/element';
import { withFault, type Parts } from './fault';
import { Plant, type ControlValve } from './plant';
import { WELL_SET, type PositionerSet } from './positioner';

/** How far a positioner is out of set, shares of its travel, its span and its supply. */
export interface PositionerOff {
  readonly zero: number;
  readonly span: number;
  readonly balance: number;
}

/** Turns of its screws since, clockwise positive; the adjuster's press the spring. */
export interface ScrewTurns {
  readonly adjuster: number;
  readonly zero: number;
  readonly span: number;
  readonly nozzle: number;
  readonly gain: number;
}

/** What one turn clockwise does: bias up, range spring less travel for the signal, nozzle more pressure on both sides; psi of the adjuster; times the gain. */
export const PER_TURN = { zero: 0.08, span: -0.06, nozzle: 0.1, adjuster: 0.8, gain: 1.6 } as const;
/** A valve that nobody wrote down is off by up to so much. */
const OFF = { zero: 0.06, span: 0.1, balance: 0.15 } as const;
/** And its spring by up to so many psi. */
const ADJUSTER_OFF = 2;

/** In², in, lb and in³ of what is usual: a diaphragm, and a cylinder (common practice). */
const DIAPHRAGM = { area: 105, travel: 1.5, mass: 9, room: 70, conductance: 3e-3 };
const CYLINDER = { area: 28, travel: 3, mass: 9, room: 6, conductance: 1e-3 };
/** Packing and guides, psi on the area, and what it takes over that to start. */
const [RUBS, BREAKS_AWAY] = [0.35, 1.06];
const VISCOUS = 1500;
const STOP_RATE = 2e7;
const DROOP = 4e6;

/** How its positioner was before anybody turned a screw: as written down, else by its name. */
function offOf(valve: Valve, written: PositionerOff | undefined): PositionerOff {
  if (written) return written;
  const dice = chance(seedFrom(`positioner of ${valve.tag}`));
  const either = (most: number) => most * (2 * dice.uniform() - 1);
  return { zero: either(OFF.zero), span: either(OFF.span), balance: either(OFF.balance) };
}

/** How far its spring is from its bench set, psi, before anybody turned the adjuster. */
function springOff(valve: Valve): number {
  const dice = chance(seedFrom(`spring of ${valve.tag}`));
  return ADJUSTER_OFF * (2 * dice.uniform() - 1);
}

function bodyOf(valve: Valve, adjusterTurns: number): ControlValve {
  const element = elementOf(valve.features);
  const size = moverOf(valve.features).element === 'cylinder' ? CYLINDER : DIAPHRAGM;
  const range = valve.plate?.springRange;
  const [low, high] = range
    ? [si(range.low), si(range.high)]
    : [si(psig(element.start)), si(psig(element.start + element.span))];
  const area = si(quantity('area', size.area, 'in²'));
  const travel = si(quantity('length', size.travel, 'in'));
  const sliding = si(quantity('pressure difference', RUBS, 'psi')) * area;
  const { bothSides } = element;
  const off = si(
    quantity('pressure difference', springOff(valve) + PER_TURN.adjuster * adjusterTurns, 'psi'),
  );
  return {
    area,
    travel,
    mass: size.mass,
    preload: bothSides ? 0 : Math.max(0, low + off) * area,
    rate: bothSides ? 0 : ((high - low) * area) / travel,
    bothSides,
    room: si(quantity('volume', size.room, 'in³')),
    conductance: size.conductance,
    friction: { sliding, breakaway: BREAKS_AWAY * sliding, viscous: VISCOUS },
    stopRate: STOP_RATE,
    stops: [0, 1],
    process: 0,
    linkage: moverOf(valve.features).turns ?? 'straight',
    droop: DROOP,
  };
}

/** The supply that this valve is made for. */
const supplyFor = ({ features }: Valve): GaugePressure => psig(elementOf(features).supplyWanted);

const UNTURNED: ScrewTurns = { zero: 0, span: 0, nozzle: 0, adjuster: 0, gain: 0 };

/** A control valve on the bench: air at the pressure it is made for, its positioner as its screws stand. */
export function plantOf(
  valve: Valve,
  written: PositionerOff | undefined,
  turns: ScrewTurns = UNTURNED,
  fault?: PlantedFault,
): Plant {
  const off = offOf(valve, written);
  const set: PositionerSet = {
    ...WELL_SET,
    zero: off.zero + PER_TURN.zero * turns.zero,
    span: 1 + off.span + PER_TURN.span * turns.span,
    balance: WELL_SET.balance + off.balance + PER_TURN.nozzle * turns.nozzle,
    gain: WELL_SET.gain * PER_TURN.gain ** turns.gain,
  };
  const sound: Parts = {
    valve: bodyOf(valve, turns.adjuster),
    set,
    supply: si(supplyFor(valve)),
    closesByAir: closesByAir(valve.features),
  };
  const parts = fault ? withFault(sound, fault) : sound;
  return new Plant(parts.valve, { by: 'positioner', set: parts.set }, parts.supply);
}

/** Its actuator alone, bench air straight into it: a whole signal is `most`. */
export function actuatorOf(valve: Valve, most: GaugePressure, { adjuster }: ScrewTurns = UNTURNED): Plant {
  return new Plant(bodyOf(valve, adjuster), { by: 'straight', low: 0, high: si(most) }, 1.5 * si(most));
}

/** A valve whose signal goes straight into its actuator: a whole signal is its bench set. */
export function straightOf(valve: Valve, { adjuster }: ScrewTurns = UNTURNED): Plant {
  const { start, span } = elementOf(valve.features);
  const { low, high } = valve.plate?.springRange ?? { low: psig(start), high: psig(start + span) };
  return new Plant(bodyOf(valve, adjuster), { by: 'straight', low: si(low), high: si(high) }, 1.5 * si(high));
}

/** A screw turned while it is on the bench. */
export function turnScrew(plant: Plant, screw: keyof ScrewTurns, turns: number): void {
  if (screw === 'adjuster') {
    const { area } = plant.valve;
    plant.preload += area * si(quantity('pressure difference', PER_TURN.adjuster * turns, 'psi'));
    return;
  }
  if (plant.source.by !== 'positioner') return;
  const { set } = plant.source;
  if (screw === 'gain') {
    plant.source.set = { ...set, gain: set.gain * PER_TURN.gain ** turns };
    return;
  }
  const by = PER_TURN[screw] * turns;
  plant.source.set = {
    ...set,
    ...(screw === 'nozzle' ? { balance: set.balance + by } : { [screw]: set[screw] + by }),
  };
}

/** What the gauges and the scale of a valve on the bench show. */
export interface BenchReading {
  readonly supply: GaugePressure;
  /** Share of the signal's range, and of the rated travel. */
  readonly signal: Ratio;
  readonly travel: Ratio;
  readonly driven: GaugePressure;
  /** The other side of a cylinder. */
  readonly other?: GaugePressure;
}

const [GAUGE_NOISE, SCALE_NOISE] = [0.03, 0.0003];

/** The gauges now, with their noise. */
export function readBench(plant: Plant, dice: Chance): BenchReading {
  const gauge = (pascal: number) =>
    psig(
      Math.max(
        0,
        Math.round(
          (valueIn(quantity('gauge pressure', pascal, 'Pa g'), 'psig') + GAUGE_NOISE * dice.normal()) * 20,
        ) / 20,
      ),
    );
  return {
    supply: gauge(plant.supply),
    signal: quantity('ratio', plant.signal, ''),
    travel: quantity('ratio', plant.travel + SCALE_NOISE * dice.normal(), ''),
    driven: gauge(plant.driven),
    ...(plant.valve.bothSides ? { other: gauge(plant.other) } : {}),
  };
}
