import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { quantity, si, type Force, type GaugePressure, type Length } from '../../quantity';
import { PIN_MATERIAL_DATA, PIN_MATERIALS, PIN_SCATTER } from '../../standards';
import { choiceField, factorField, numberField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const PIN_NAMES = PIN_MATERIALS.map(({ name }) => name) as [string, ...string[]];

const input = z.strictObject({
  pistonDiameter: quantityField('length', { label: 'Piston diameter', example: '2 in' }),
  leverRatio: factorField(
    {
      label: 'Lever ratio, pin arm over piston arm',
      example: '1',
    },
    0.01,
    100,
  ),
  pinDiameter: quantityField('length', {
    label: 'Pin diameter',
    example: '3/16 in',
    inExample: true,
  }).exactOptional(),
  shearStrength: quantityField('stress', {
    label: 'Shear strength of the pin',
    oneOf: { of: 'How strong the pin is', as: 'strength' },
    example: '38 ksi',
    inExample: true,
  }).exactOptional(),
  material: choiceField(PIN_NAMES, {
    label: 'Material of the pin',
    oneOf: { of: 'How strong the pin is', as: 'material' },
  }).exactOptional(),
  pins: numberField({ label: 'Pins', example: '1' }, 1, 20, true),
  wantedPressure: quantityField('gauge pressure', {
    label: 'Pressure wanted, to find the pin',
    example: '3,000 psig',
  }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface ShearPin {
  breakPressure: GaugePressure;
  breakLow: GaugePressure;
  breakHigh: GaugePressure;
  pinDiameter: Length;
  shearForce: Force;
}

/**
 * Pressure that breaks pins in double shear through a lever: `P·A = n·2·τu·(π/4)d²·ratio`; or the pin diameter for a
 * wanted pressure. ±15 % is normal, and shown. The maker's pin table wins: this only checks it.
 * Errors: a pin diameter and a wanted pressure together or neither; no strength. Source: statics; strengths from memory.
 * Example: one 1/8 in pin of 60 ksi → 1 473 lbf in double shear.
 */
export const reliefShearPin: Working<typeof input, ShearPin> = {
  id: 'relief.shear-pin',
  title: 'Shear pin: breaking pressure',
  asks: ['shear pin', 'pin', 'pop-off', 'mud pump', 'break', 'double shear'],
  meaning: 'At what pressure a shear pin lets go, or which pin lets go at a wanted pressure.',
  input,
  results: {
    breakPressure: 'Breaks at',
    breakLow: 'perhaps from',
    breakHigh: 'perhaps up to',
    pinDiameter: 'Pin diameter',
    shearForce: 'Load on the pins, double shear',
  },
  source: PIN_MATERIAL_DATA,
  work: shearPin,
};

function shearPin(given: Given): Result<Worked<ShearPin>> {
  const strength = given.shearStrength ?? strengthOf(given.material);
  if (!strength || (given.shearStrength && given.material))
    return inConflict(
      ['shearStrength', 'material'],
      'Give the shear strength of the pin or its material, one of the two.',
    );
  if ((given.pinDiameter === undefined) === (given.wantedPressure === undefined))
    return inConflict(
      ['pinDiameter', 'wantedPressure'],
      'Give the pin diameter, or the pressure wanted to find it.',
    );
  const piston = (Math.PI / 4) * si(given.pistonDiameter) ** 2;
  const perSquare = given.pins * 2 * si(strength) * (Math.PI / 4);
  const diameter = given.pinDiameter
    ? si(given.pinDiameter)
    : Math.sqrt(
        (si(given.wantedPressure ?? quantity('gauge pressure', 0, 'psig')) * piston) /
          (perSquare * given.leverRatio),
      );
  if (diameter >= si(given.pistonDiameter))
    return inConflict(
      ['pinDiameter', 'pistonDiameter'],
      'The pin is wider than its piston: a slip of the unit?',
    );
  const force = perSquare * diameter ** 2;
  const pascals = (force * given.leverRatio) / piston;
  const sheet = sheetFor(given.pistonDiameter, strength);
  const pressure = (factor: number) => sheet.of('gauge pressure', pascals * factor);
  const [pin, shearForce, breakPressure] = [
    sheet.of('length', diameter),
    sheet.of('force', force),
    pressure(1),
  ];
  return ok({
    result: {
      breakPressure,
      breakLow: pressure(1 - PIN_SCATTER),
      breakHigh: pressure(1 + PIN_SCATTER),
      pinDiameter: pin,
      shearForce,
    },
    steps: [
      ...(given.wantedPressure
        ? [
            line(
              'Pin diameter',
              '√(P · A / (n · 2 · τu · π/4 · ratio))',
              `P ${shown(given.wantedPressure)}`,
              pin,
            ),
          ]
        : []),
      line(
        'Load in double shear',
        'n · 2 · τu · π/4 · d²',
        `${given.pins} × 2 × ${shown(strength)} × π/4 × ${shown(pin)}²`,
        shearForce,
      ),
      line('Piston area', 'π/4 · D²', shown(given.pistonDiameter), sheet.of('area', piston)),
      line('Breaking pressure', 'load × lever ratio / piston area', `× ${given.leverRatio}`, breakPressure),
    ],
    notes: [
      'The strength of a pin lies within ±15 % of its figure, and so does the pressure.',
      'A shear pin is a safety part: only the maker’s pin of the right size and alloy, by the maker’s table. Never a nail, a welding rod or a bolt.',
    ],
    source: PIN_MATERIAL_DATA,
  });
}

function strengthOf(material: string | undefined) {
  const row = PIN_MATERIALS.find(({ name }) => name === material);
  return row && quantity('stress', row.shear, 'ksi');
}
