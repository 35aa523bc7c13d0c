import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { quantity, si, valueIn, type RotationalSpeed } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  diameter: quantityField('length', { label: 'Diameter being cut', example: '2 in' }),
  surfaceSpeed: quantityField('speed', { label: 'Surface speed', example: '40 ft/min' }),
});

export interface LatheSpeed {
  speed: RotationalSpeed;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Cutting speed, rev/min = v / πD' };
const FACING_FEET_PER_MINUTE = { low: 30, high: 50 } as const;

/**
 * Spindle speed for a surface speed: `v / (π·D)`, that is `12·v/(π·D)` in ft/min and in.
 * Errors: none beyond the sign. Source: geometry; disc facing at 30–50 ft/min is common practice.
 * Example: 2.000 in at 30 ft/min → 57 rev/min, at 50 → 95.
 */
export const latheSpeed: Working<typeof input, LatheSpeed> = {
  id: 'lathe.speed',
  title: 'Lathe speed',
  asks: ['lathe', 'rpm', 'speed', 'facing', 'turn', 'surface speed'],
  meaning: 'How fast to turn a disc or a seat of this diameter.',
  input,
  results: { speed: 'Spindle speed' },
  source: SOURCE,
  work: ({ diameter, surfaceSpeed }): Result<Worked<LatheSpeed>> => {
    const speed = quantity('rotational speed', (si(surfaceSpeed) * 60) / (Math.PI * si(diameter)), 'rev/min');
    const feet = valueIn(surfaceSpeed, 'ft/min');
    const usual = feet >= FACING_FEET_PER_MINUTE.low && feet <= FACING_FEET_PER_MINUTE.high;
    return ok({
      result: { speed },
      steps: [
        line('Spindle speed', 'v / (π · D)', `${shown(surfaceSpeed)} / (π × ${shown(diameter)})`, speed),
      ],
      notes: usual ? [] : ['Disc facing is usually done at 30 to 50 ft/min (9 to 15 m/min).'],
      source: SOURCE,
    });
  },
};
