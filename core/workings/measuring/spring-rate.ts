import { z } from 'zod';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import { si, valueIn, type Length, type Stiffness } from '../../quantity';
import { SHEAR_MODULUS_MPSI, SPRING_PRACTICE } from '../../standards';
import { choiceField, numberField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

/** Wires of height over the active coils when solid, by how the ends are made (Shigley, table 10-1). */
const ENDS = { 'squared and ground': 2, squared: 3, 'plain and ground': 1, plain: 1 } as const;
const END_NAMES = [
  'squared and ground',
  'squared',
  'plain and ground',
  'plain',
] as const satisfies readonly (keyof typeof ENDS)[];

const input = z.strictObject({
  wire: quantityField('length', { label: 'Wire diameter', example: '1/4 in' }),
  meanDiameter: quantityField('length', { label: 'Mean coil diameter', example: '1 3/4 in' }),
  activeCoils: numberField({ label: 'Active coils', example: '8' }, 0.5, 500),
  modulus: quantityField('stress', { label: 'Shear modulus of the wire', example: '11.5 Mpsi' }),
  ends: choiceField(END_NAMES, { label: 'Ends' }).exactOptional(),
  freeLength: quantityField('length', { label: 'Free length now', example: '6 in' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface SpringRate {
  rate: Stiffness;
  solidHeight: Length;
  toSolid?: Length;
}

/**
 * Rate and solid height of a helical spring: `k = G d⁴ / (8 D³ n)`; solid height = (active + end coils) × wire, with
 * two end coils when squared and ground. With its free length, how far it goes till it is solid.
 * Errors: a coil narrower than twice the wire; a free length less than the coils take solid. Source: every text on springs.
 * Example: d 0.25, D 1.75 in, 8 coils, 11.5 Mpsi → 131.0 lbf/in, 2.5 in.
 */
export const springRate: Working<typeof input, SpringRate> = {
  id: 'spring.rate',
  title: 'Spring: rate and solid height',
  asks: ['spring', 'rate', 'solid height', 'coils', 'wire'],
  meaning: 'How stiff a spring is, and how short it goes.',
  input,
  results: {
    rate: 'Rate',
    solidHeight: 'Solid height',
    toSolid: 'Travel till it is solid',
  },
  source: SPRING_PRACTICE,
  work: rate,
};

function rate(given: Given): Result<Worked<SpringRate>> {
  const [wire, diameter] = [si(given.wire), si(given.meanDiameter)];
  if (diameter <= 2 * wire)
    return outOfRange(
      'meanDiameter',
      shown(given.meanDiameter),
      `more than twice the wire, ${shown(given.wire)}`,
      'no spring is wound tighter',
    );
  const modulus = valueIn(given.modulus, 'Mpsi');
  if (modulus < SOFTEST_MPSI || modulus > STIFFEST_MPSI)
    return outOfRange(
      'modulus',
      shown(given.modulus),
      '1 to 20 Mpsi (7 to 140 GPa)',
      'no spring wire is softer or stiffer in shear: a slip of the unit',
    );
  const sheet = sheetFor(given.wire, given.modulus);
  const k = (si(given.modulus) * wire ** 4) / (8 * diameter ** 3 * given.activeCoils);
  const ends = given.ends ?? 'squared and ground';
  const stiffness = sheet.of('stiffness', k);
  const solid = sheet.of('length', (given.activeCoils + ENDS[ends]) * wire);
  const { freeLength } = given;
  if (freeLength && si(freeLength) < si(solid))
    return inConflict(
      ['freeLength', 'activeCoils'],
      'The free length is less than the coils take solid: count the coils again.',
    );
  const toSolid = freeLength && sheet.of('length', si(freeLength) - si(solid));
  return ok({
    result: { rate: stiffness, solidHeight: solid, ...(toSolid ? { toSolid } : {}) },
    steps: [
      line(
        'Rate',
        'G d⁴ / (8 D³ n)',
        `${shown(given.modulus)} × ${shown(given.wire)}⁴ / (8 × ${shown(given.meanDiameter)}³ × ${given.activeCoils})`,
        stiffness,
      ),
      line(
        'Solid height',
        'coils in all × wire',
        `(${given.activeCoils} + ${ENDS[ends]}) × ${shown(given.wire)}, ends ${ends}`,
        solid,
      ),
      ...(toSolid && freeLength
        ? [line('Till it is solid', 'free length − solid height', shown(freeLength), toSolid)]
        : []),
    ],
    notes: [
      `Shear modulus, Mpsi: ${Object.entries(SHEAR_MODULUS_MPSI)
        .map(([material, value]) => `${material} ${value}`)
        .join(', ')}.`,
      ...(diameter / wire < 4
        ? ['Wound tighter than 4 to 1: the formula reads high and the wire is highly stressed.']
        : []),
      'Draw a spring down with a press, long studs or the service screw; never by hand.',
    ],
    source: SPRING_PRACTICE,
  });
}

const [SOFTEST_MPSI, STIFFEST_MPSI] = [1, 20];
