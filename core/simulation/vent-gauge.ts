import { psig, type GaugePressure } from '../quantity';
import type { Condition } from './condition';
import type { Chance } from './random';

const START_PSIG = 180;
const PASSING_PSIG = 41;
const TIME_CONSTANT = 4;

/**
 * The gauge at an opened vent, seconds after it was opened: it decays to zero, or hangs because the block valve on the
 * supplying side passes.
 */
export function ventGauge(
  condition: Condition,
  supplying: boolean,
  seconds: number,
  dice: Chance,
): GaugePressure {
  const floor = supplying && condition.blockValvePasses ? PASSING_PSIG : 0;
  const value = floor + (START_PSIG - floor) * Math.exp(-seconds / TIME_CONSTANT);
  const noise = value > 1 ? 0.2 * dice.normal() : 0;
  return psig(Math.max(0, Math.round((value + noise) * 10) / 10));
}
