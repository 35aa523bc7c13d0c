import { psig, si, type GaugePressure } from '../quantity';
import type { Chance } from './random';
import type { ReliefSample } from './relief-on-rig';

/** A self-acting regulator as it really is; shares of the pressure it is to hold. */
export interface RegulatorCondition {
  /** How far its screw is off. */
  readonly screwOff: number;
  /** What it takes over its flowing pressure to shut. */
  readonly lockUp: number;
  /** What passes its seat when it is shut: a rise in a minute behind it. */
  readonly creep: number;
  /** Turns of its screw clockwise since, and what one of them does. */
  readonly turns: number;
  readonly perTurn: number;
}

interface Run {
  readonly wanted: GaugePressure;
  readonly condition: RegulatorCondition;
  readonly outlet: 'flowing' | 'shut';
  /** How long it is watched. */
  readonly seconds: number;
}

/** Seconds: how quickly the small volume behind it comes to rest, and how long the outlet takes to be shut. */
const [SETTLES_IN, SHUTS_IN] = [1.5, 3];
const STEP = 0.02;
const GAUGE_NOISE = 0.0004;

/**
 * The outlet of a regulator, sampled every `every` seconds: what it lets by is in proportion to how far the outlet is under
 * its lock-up pressure, what is drawn is steady or shut off slowly. Into a small volume, a lag of the first order; a seat
 * that passes goes on rising.
 */
export function* regulatorRun(
  { wanted, condition, outlet, seconds }: Run,
  dice: Chance,
  every = 0.5,
): Generator<ReliefSample, void> {
  const { screwOff, lockUp, creep, turns, perTurn } = condition;
  const set = si(wanted) * (1 + screwOff + turns * perTurn);
  const rise = lockUp * si(wanted);
  let crept = 0;
  let pressure = outlet === 'flowing' ? 0 : set;
  const steps = Math.round(every / STEP);
  for (let i = 0; i * STEP <= seconds; i++) {
    const now = i * STEP;
    if (i % steps === 0) {
      const shown = Math.max(0, pressure * (1 + GAUGE_NOISE * dice.normal()));
      yield { seconds: now, pressure: psig(Math.round(shown / 344.7378647) / 20) };
    }
    const drawn = outlet === 'flowing' ? 1 : Math.max(0, 1 - now / SHUTS_IN);
    if (drawn === 0) crept += (creep * si(wanted) * STEP) / 60;
    pressure += ((set + rise * (1 - drawn) + crept - pressure) * STEP) / SETTLES_IN;
  }
}
