import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, si, valueIn, type Force } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { numberField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  mass: quantityField('mass', { label: 'Mass lifted', example: '400 lb' }),
  legs: numberField({ label: 'Legs', example: '2' }, 1, 4, true),
  angle: quantityField(
    'angle',
    { label: 'Whole angle between opposite legs', example: '60°' },
    'not negative',
  ),
});

export interface SlingLoad {
  tension: Force;
  factor: number;
  verdict: 'fit' | 'ask' | 'stop';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Sling legs by their angle' };
const STANDARD_GRAVITY = 9.80665;
/** Of four legs on a stiff load two may carry it all. */
const CARRYING: readonly number[] = [1, 1, 2, 3, 2];
const [GOOD_DEGREES, MOST_DEGREES, FLAT_DEGREES] = [90, 120, 180];

/**
 * Tension in a leg of a sling: `m·g / (legs · cos(angle/2))`, the angle measured between opposite legs; four legs on a
 * stiff load count as two, a single leg hangs straight. Factor = 1/cos(angle/2), what the angle adds.
 * Verdict: `fit` to 90°, `ask` to 120°, `stop` above.
 * Errors: an angle of 180° and more. Source: statics; 90° and 120° common practice.
 * Example: 400 lb on two legs at 60° → 231 lbf a leg.
 */
export const liftingSling: Working<typeof input, SlingLoad> = {
  id: 'lifting.sling',
  title: 'Load on a sling leg',
  asks: ['sling', 'lift', 'rigging', 'chain', 'angle', 'crane', 'how heavy'],
  meaning: 'How hard each leg of a sling pulls at its angle, and whether the angle is safe.',
  input,
  results: { tension: 'Tension in a leg', factor: 'Factor of the angle', verdict: 'Verdict' },
  source: SOURCE,
  work: ({ mass, legs, angle }): Result<Worked<SlingLoad>> => {
    const whole = legs === 1 ? 0 : valueIn(angle, '°');
    if (whole >= FLAT_DEGREES)
      return inConflict(['angle'], 'At 180° between the legs no sling lifts anything.');
    const factor = 1 / Math.cos((whole * Math.PI) / 360);
    const carrying = CARRYING[legs] ?? 1;
    const sheet = sheetFor(mass);
    const tension = sheet.of('force', (si(mass) * STANDARD_GRAVITY * factor) / carrying);
    return ok({
      result: {
        tension,
        factor,
        verdict: whole <= GOOD_DEGREES ? 'fit' : whole <= MOST_DEGREES ? 'ask' : 'stop',
      },
      steps: [
        line(
          'Factor of the angle',
          '1 / cos(angle / 2)',
          `${formatNumber(whole, 0)}°`,
          formatNumber(factor, 3),
        ),
        line(
          'Tension',
          'm · g · factor / legs that carry',
          `${shown(mass)} × ${formatNumber(factor, 3)} / ${carrying}`,
          tension,
        ),
      ],
      notes: [
        ...(legs === 4 ? ['On a stiff load two of four legs may carry it all: counted as two.'] : []),
        ...(legs === 1 ? ['One leg hangs straight: the load must hang under the hook.'] : []),
        'Only slings in date with their tag; nobody under the load; the lift by whoever is trained for it.',
      ],
      source: SOURCE,
    });
  },
};
