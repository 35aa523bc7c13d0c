import { psig, valueIn, type GaugePressure } from '../quantity';
import type { Condition } from './condition';
import type { Chance } from './random';

/** Where nobody knows what stands in the line. */
const USUAL = psig(180);
/** What a block valve that passes holds at an open vent, as a share of the line. */
const PASSING = 0.23;
const TIME_CONSTANT = 4;

/**
 * The gauge at an opened vent, seconds after it was opened: it decays from the pressure of the line to zero, or hangs
 * because the block valve on the supplying side passes.
 */
export function ventGauge(
  condition: Condition,
  supplying: boolean,
  seconds: number,
  dice: Chance,
  line: GaugePressure = USUAL,
): GaugePressure {
  const start = valueIn(line, 'psig');
  const floor = supplying && condition.blockValvePasses ? PASSING * start : 0;
  const value = floor + (start - floor) * Math.exp(-seconds / TIME_CONSTANT);
  const noise = value > 1 ? 0.2 * dice.normal() : 0;
  return psig(Math.max(0, Math.round((value + noise) * 10) / 10));
}
