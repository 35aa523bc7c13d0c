import { si, thou, type Length } from '../quantity';
import type { Condition } from './condition';
import type { Chance } from './random';

/** Smallest division of the simulated dial: 0.0005 in. */
export const DIAL_RESOLUTION_THOU = 0.5;
const NOISE_THOU = 0.12;
const THOU = 2.54e-5;

/** What the dial shows at an angle of the stem in its V-blocks: bow, out-of-round, noise, its own resolution. */
export function dialReading(condition: Condition, degrees: number, dice: Chance): Length {
  const angle = (degrees * Math.PI) / 180;
  const bow = (si(condition.stemBow) / THOU) * Math.cos(angle - (condition.stemBowDegrees * Math.PI) / 180);
  const oval = (si(condition.stemOvality) / THOU) * Math.cos(2 * angle);
  const shown =
    Math.round((bow + oval + NOISE_THOU * dice.normal()) / DIAL_RESOLUTION_THOU) * DIAL_RESOLUTION_THOU;
  return thou(shown);
}
