import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, si, valueIn, type PressureDifference } from '../../quantity';
import { standard } from '../../standards';
import { quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  temperatureRise: quantityField('temperature difference', { label: 'Warms by', example: '5 °C' }, 'any'),
  temperature: quantityField('temperature', { label: 'From', example: '20 °C' }, 'any').exactOptional(),
});

export interface TrappedWater {
  pressureRise: PressureDifference;
}

const WATER = standard('Kell 1975', 'density and compressibility of water at one atmosphere', 'high');
/** Linear expansion of carbon steel, 1/K: the body grows a little with its water. */
const STEEL = 11.7e-6;
const USUAL_CELSIUS = 20;
const [COLDEST, HOTTEST] = [0, 100];
const STEPS = 400;

/** Density of water, kg/m³, at °C and one atmosphere (Kell, J. Chem. Eng. Data 20, 1975). */
function density(t: number): number {
  const top =
    999.83952 +
    t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))));
  return top / (1 + 16.87985e-3 * t);
}

/** Isothermal compressibility of water, 1/Pa (the same). */
function compressibility(t: number): number {
  const top =
    50.88496 + t * (0.6163813 + t * (1.459187e-3 + t * (20.08438e-6 + t * (-58.47727e-9 + t * 410.411e-12))));
  return (top / (1 + 19.67348e-3 * t)) * 1e-11;
}

/** Volume expansion of water, 1/K. */
const expansion = (t: number): number => -(density(t + 0.01) - density(t - 0.01)) / 0.02 / density(t);

/**
 * How far the pressure of water shut in a stiff steel body rises when it warms: `∫ (β − 3α)/κ dT`, β and κ of water by
 * temperature (20 °C unless given), α of steel taken off. Under about 4 °C it falls first.
 * Errors: water that would be under 0 or over 100 °C. Source: Kell 1975.
 * Example: 5 K from 20 °C → about 20 bar.
 */
export const hydrotestTrapped: Working<typeof input, TrappedWater> = {
  id: 'hydrotest.trapped',
  title: 'Water trapped in a test',
  asks: ['hydrotest', 'trapped', 'temperature', 'pressure rise', 'sun', 'blocked in', 'thermal'],
  meaning: 'How much pressure a few degrees make of water that is shut in.',
  input,
  results: { pressureRise: 'Pressure rises by' },
  source: WATER,
  work: ({ temperatureRise, temperature }): Result<Worked<TrappedWater>> => {
    const from = temperature ? valueIn(temperature, '°C') : USUAL_CELSIUS;
    const rise = si(temperatureRise);
    const to = from + rise;
    if (Math.min(from, to) < COLDEST || Math.max(from, to) > HOTTEST)
      return inConflict(
        ['temperature', 'temperatureRise'],
        'Water from 0 to 100 °C: colder it is ice, hotter steam.',
      );
    const slope = (t: number) => (expansion(t) - 3 * STEEL) / compressibility(t);
    const step = rise / STEPS;
    let sum = (slope(from) + slope(to)) / 2;
    for (let i = 1; i < STEPS; i++) sum += slope(from + i * step);
    const sheet = sheetFor(temperatureRise, temperature);
    const pressureRise = sheet.of('pressure difference', sum * step);
    return ok({
      result: { pressureRise },
      steps: [
        line(
          'Pressure rise',
          '(β of water − 3 α of steel) / κ of water, over the warming',
          `${shown(temperatureRise)} from ${formatNumber(from, 1)} °C, ${formatNumber(slope(from) / 1e5, 2)} bar/K there`,
          pressureRise,
        ),
      ],
      notes: [
        'A stiff body without air: trapped air or a soft seal takes much of it, a long pipe less.',
        'Never leave a water test shut in and unwatched; a relief valve or an open drain takes it.',
      ],
      source: WATER,
    });
  },
};
