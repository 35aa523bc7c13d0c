import { z } from 'zod';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import {
  si,
  type Force,
  type Length,
  type Mass,
  type PressureDifference,
  type Quantity,
} from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { eitherField, factorField, quantityField } from '../frame/field';
import { line, sheetFor, shown, type Sheet } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  diaphragmArea: quantityField('area', {
    label: 'Diaphragm area',
    oneOf: { of: 'What the head acts on', as: 'diaphragm' },
    example: '28 in²',
    inExample: true,
  }).exactOptional(),
  plugArea: quantityField('area', {
    label: 'Plug area',
    example: '3.1 in²',
    oneOf: { of: 'What the head acts on', as: 'plug' },
  }).exactOptional(),
  shortArm: quantityField('length', { label: 'Short arm, shaft to stem', example: '1 1/2 in' }),
  weight: eitherField(['force', 'mass'], { label: 'Weight', example: '20 lbf' }),
  leverMoment: quantityField(
    'torque',
    { label: 'Moment of the lever itself', example: '40 lbf·in' },
    'not negative',
  ),
  friction: quantityField(
    'torque',
    { label: 'Friction moment', example: '5 lbf·in' },
    'not negative',
  ).exactOptional(),
  head: eitherField(['pressure difference', 'length'], {
    label: 'Head wanted',
    oneOf: { of: 'What is known', as: 'the head' },
    example: '4 psi',
    inExample: true,
  }).exactOptional(),
  position: quantityField(
    'length',
    {
      label: 'Weight from the shaft',
      example: '12 in',
      oneOf: { of: 'What is known', as: 'where the weight sits' },
    },
    'not negative',
  ).exactOptional(),
  specificGravity: factorField(
    { label: 'Specific gravity, for a head as a height', example: '1' },
    0.3,
    3,
  ).exactOptional(),
});

type Given = z.output<typeof input>;

export interface LeverWeight {
  position: Length;
  head: PressureDifference;
  headHeight: Length;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Balance of a weighted lever' };
const WATER_PASCALS_PER_METRE = 9806.65;

/**
 * Weight on the lever of a dump valve: opens when `head × area × short arm = W·x + lever's own moment + friction`.
 * Gives the position x for a wanted head, or the head for a position. Head psi = 0.433 × SG × ft.
 * Errors: both or neither of head and position, or of the areas; a head that the lever alone holds back.
 * Source: statics. Example: 20 in², arm 1.5 in, 20 lbf, lever 40 lbf·in, 4 psi → x = (120 − 40)/20 = 4 in.
 */
export const leverWeight: Working<typeof input, LeverWeight> = {
  id: 'lever.weight',
  title: 'Weight on a lever',
  asks: ['lever', 'weight', 'dump valve', 'head', 'level', 'where to put the weight'],
  meaning: 'Where the weight goes for a head of liquid, or what head it holds where it is.',
  input,
  results: {
    position: 'Weight from the shaft',
    head: 'Head it opens at',
    headHeight: 'as a height of the liquid',
  },
  source: SOURCE,
  work: balance,
};

function balance(given: Given): Result<Worked<LeverWeight>> {
  if ((given.head === undefined) === (given.position === undefined))
    return inConflict(
      ['head', 'position'],
      'Give the head wanted or the position of the weight, one of the two.',
    );
  const area = given.diaphragmArea ?? given.plugArea;
  if (!area || (given.diaphragmArea && given.plugArea))
    return inConflict(
      ['diaphragmArea', 'plugArea'],
      'Give the diaphragm area or the plug area, one of the two.',
    );
  const sheet = sheetFor(given.shortArm, area);
  const gravity = WATER_PASCALS_PER_METRE * (given.specificGravity ?? 1);
  const weight = newtons(given.weight);
  const standing = si(given.leverMoment) + (given.friction ? si(given.friction) : 0);
  const perPascal = si(area) * si(given.shortArm);
  const wanted =
    given.head && (given.head.dimension === 'length' ? si(given.head) * gravity : si(given.head));
  const position =
    wanted === undefined ? si(given.position ?? given.shortArm) : (wanted * perPascal - standing) / weight;
  if (position < 0)
    return outOfRange(
      'head',
      given.head ? shown(given.head) : '',
      `more than ${shown(pressure(sheet, standing / perPascal))}`,
      'the lever alone holds more than this',
    );
  if (position > LONGEST_LEVER)
    return outOfRange(
      given.position ? 'position' : 'weight',
      shown(given.position ?? given.weight),
      `a weight that balances it within ${shown(sheet.of('length', LONGEST_LEVER, { US: 'ft', SI: 'm' }))}`,
      'no lever is longer: a slip of the unit, or a heavier weight',
    );
  const head = pressure(sheet, (weight * position + standing) / perPascal);
  const at = sheet.of('length', position);
  const headHeight = sheet.of('length', si(head) / gravity, { US: 'ft', SI: 'm' });
  const inTorque = (moment: number) => sheet.of('torque', moment, { US: 'lbf·in', SI: 'N·m' });
  return ok({
    result: { position: at, head, headHeight },
    steps: [
      line(
        'Opening moment',
        'head × area × short arm',
        `${shown(head)} × ${shown(area)} × ${shown(given.shortArm)}`,
        inTorque(si(head) * perPascal),
      ),
      line('Lever and friction', 'own moment + friction', shown(given.leverMoment), inTorque(standing)),
      line(
        'Weight from the shaft',
        '(opening moment − lever and friction) / W',
        `W ${shown(forceOf(sheet, weight))}`,
        at,
      ),
      line('Head as a height', 'head / (0.433 psi/ft × SG)', `SG ${given.specificGravity ?? 1}`, headHeight),
    ],
    notes:
      given.specificGravity === undefined
        ? ['Heights are of water: give the specific gravity for another liquid.']
        : [],
    source: SOURCE,
  });
}

const STANDARD_GRAVITY = 9.80665;
/** No lever of a dump valve is longer, metres (10 ft). */
const LONGEST_LEVER = 3.048;
const newtons = (weight: Force | Mass | Quantity): number =>
  weight.dimension === 'mass' ? si(weight) * STANDARD_GRAVITY : si(weight);
const pressure = (sheet: Sheet, pascals: number): PressureDifference =>
  sheet.of('pressure difference', pascals);
const forceOf = (sheet: Sheet, value: number): Force => sheet.of('force', value);
