import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { quantity, si, type Angle, type Length, type Stiffness } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { quantityField, threadField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';
import { nominalDiameter, pitchOf, stressArea, stressAreaStep } from './bolting-stress-area';

const input = z.strictObject({
  thread: threadField({ label: 'Stud thread', example: '3/4-10' }),
  length: quantityField('length', {
    label: 'Effective length: grip and about one diameter',
    example: '5 in',
  }),
  preload: quantityField('force', {
    label: 'Preload',
    oneOf: { of: 'How tight', as: 'preload' },
    example: '16,700 lbf',
    inExample: true,
  }).exactOptional(),
  stress: quantityField('stress', {
    label: 'Stress',
    example: '50 ksi',
    oneOf: { of: 'How tight', as: 'stress' },
  }).exactOptional(),
  modulus: quantityField('stress', { label: 'Modulus of elasticity', example: '30 Mpsi' }).exactOptional(),
});

export interface BoltStretch {
  stretch: Length;
  nutTurn: Angle;
  stiffness: Stiffness;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Stretch of a stud, F·L/(A·E)' };
const STEEL = quantity('stress', 30, 'Mpsi');

/**
 * How far a stud stretches: `F·L/(A·E)` on its tensile stress area, and how far the nut turns for that, `stretch/pitch ·
 * 360°`, the stud alone; the joint gives too, so the real turn is more. Stiffness = `A·E/L`.
 * Errors: preload and stress both or neither. Source: statics; 30 Mpsi for steel unless given.
 * Example: 3/4-10, 5 in, 50 ksi → 8.3 thou, 30° of nut.
 */
export const boltingStretch: Working<typeof input, BoltStretch> = {
  id: 'bolting.stretch',
  title: 'Stretch of a stud',
  asks: ['stretch', 'elongation', 'turn of nut', 'tensioner', 'stud', 'measure by length'],
  meaning: 'How much longer a stud gets at a preload, and how far the nut turns for it.',
  input,
  results: { stretch: 'Stretch', nutTurn: 'Turn of the nut, stud alone', stiffness: 'Stiffness of the stud' },
  source: SOURCE,
  work: (given): Result<Worked<BoltStretch>> => {
    const { thread, length, preload, stress } = given;
    if ((preload === undefined) === (stress === undefined))
      return inConflict(['preload', 'stress'], 'Give the preload or the stress, one of the two.');
    const area = stressArea(thread);
    const modulus = given.modulus ?? STEEL;
    const pascals = stress ? si(stress) : si(preload ?? quantity('force', 0, 'N')) / si(area);
    const sheet = sheetFor(preload, stress, length, nominalDiameter(thread));
    const metres = (pascals * si(length)) / si(modulus);
    const stretch = sheet.of('length', metres, { US: 'thou', SI: 'mm' });
    const nutTurn = quantity('angle', (metres / si(pitchOf(thread))) * 360, '°');
    const stiffness = sheet.of('stiffness', (si(area) * si(modulus)) / si(length));
    return ok({
      result: { stretch, nutTurn, stiffness },
      steps: [
        stressAreaStep(thread, area),
        line(
          'Stretch',
          'stress · L / E',
          `${shown(sheet.of('stress', pascals, { US: 'ksi', SI: 'MPa' }))} × ${shown(length)} / ${shown(modulus)}`,
          stretch,
        ),
        line(
          'Turn of the nut',
          'stretch / pitch · 360°',
          `${shown(stretch)} / ${shown(pitchOf(thread))}`,
          nutTurn,
        ),
        line('Stiffness', 'A · E / L', '', stiffness),
      ],
      notes: [
        'From snug, and of the stud alone: flange and gasket give as well, so the nut turns further.',
        'Measured at both ends with the stud at one temperature.',
      ],
      source: SOURCE,
    });
  },
};
