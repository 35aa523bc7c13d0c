import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { degrees, formatNumber, si, valueIn, type Torque } from '../../quantity';
import { COMMON_PRACTICE } from '../../standards';
import { amountField, quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  torque: quantityField('torque', { label: 'Torque wanted on the nut', example: '100 lbf·ft' }),
  wrench: quantityField('length', { label: 'Wrench, grip to square drive', example: '18 in' }),
  adapter: quantityField('length', { label: 'Adapter, drive to nut', example: '2 1/2 in' }),
  angle: amountField(
    'angle',
    '°',
    { label: 'Adapter off straight ahead', example: '0°' },
    'any',
  ).exactOptional(),
});

export interface CrowFoot {
  setting: Torque;
}

const SOURCE = { ...COMMON_PRACTICE, name: 'Lever arms of a wrench with an adapter' };

/**
 * Setting of a torque wrench with a crow-foot: `T·L / (L + E·cos θ)`, θ from straight ahead; none at 90°.
 * Errors: an adapter folded back as far as the grip. Source: the lever law.
 * Example: 100 lbf·ft, L 18 in, E 2.5 in, straight out → 87.8 lbf·ft.
 */
export const boltingCrowfoot: Working<typeof input, CrowFoot> = {
  id: 'bolting.crowfoot',
  title: 'Wrench setting with a crow-foot',
  asks: ['crow foot', 'crowfoot', 'adapter', 'extension', 'wrench setting', 'torque'],
  meaning: 'What to set the wrench to when an adapter makes it longer.',
  input,
  results: { setting: 'Set the wrench to' },
  source: SOURCE,
  work: setting,
};

function setting(given: z.output<typeof input>): Result<Worked<CrowFoot>> {
  const angle = given.angle ?? degrees(0);
  if (Math.abs(valueIn(angle, '°')) > 180)
    return outOfRange('angle', shown(angle), 'up to 180°', 'that is folded right back');
  const wrench = si(given.wrench);
  const reach = wrench + si(given.adapter) * Math.cos(si(angle));
  if (reach < wrench / 4)
    return outOfRange(
      'adapter',
      shown(given.adapter),
      'much shorter than the wrench',
      'folded back it leaves no lever',
    );
  const result: Torque = {
    dimension: 'torque',
    value: (given.torque.value * wrench) / reach,
    unit: given.torque.unit,
  };
  return ok({
    result: { setting: result },
    steps: [
      line(
        'Setting',
        'T · L / (L + E · cos θ)',
        `${shown(given.torque)} × ${shown(given.wrench)} / (${shown(given.wrench)} + ${shown(given.adapter)} × cos ${formatNumber(valueIn(angle, '°'), 1)}°)`,
        result,
      ),
    ],
    notes: [
      'Pull in the middle of the grip: the length of the wrench is measured from there.',
      'At 90° to the wrench the adapter changes nothing.',
    ],
    source: SOURCE,
  });
}
