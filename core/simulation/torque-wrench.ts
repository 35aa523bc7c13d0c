import { quantity, valueIn, type Torque } from '../quantity';
import type { Chance } from './random';

/** Scatter of a click-type wrench in a steady hand, one standard deviation. */
const SCATTER = 0.012;
/** A hand that lets go early: the click is felt, the torque is not there. */
const EARLY_SHARE = 0.03;
const EARLY_SHORT = 0.12;

/** The torque at which a simulated wrench clicks when it is set to `setting`. */
export function wrenchClick(setting: Torque, dice: Chance): Torque {
  const early = dice.uniform() < EARLY_SHARE ? EARLY_SHORT : 0;
  const factor = 1 + SCATTER * dice.normal() - early;
  return quantity('torque', Math.round(valueIn(setting, 'lbf·ft') * factor * 10) / 10, 'lbf·ft');
}
