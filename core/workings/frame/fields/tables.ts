import { z } from 'zod';
import { quantityOf, unitNames, type Quantity } from '../../../quantity';
import { fieldMeta, type About, type Column } from '../field-meta';
import { NUMERIC } from './numeric';
import { checkSize } from './quantities';

/** A small table: each row an object with these columns, whose schemas read the cells. */
export function rowsField<S extends Record<string, z.ZodType>>(
  cells: S,
  columns: readonly (Column & { name: Extract<keyof S, string> })[],
  about: About,
  most = 400,
) {
  return z
    .array(z.strictObject(cells))
    .max(most)
    .register(fieldMeta, { ...about, kind: 'rows', columns });
}

const angle = z.union([
  z.number().transform((value): Quantity<'angle'> => ({ dimension: 'angle', value, unit: '°' })),
  z
    .string()
    .regex(NUMERIC)
    .transform((text): Quantity<'angle'> => ({ dimension: 'angle', value: Number(text), unit: '°' })),
  quantityOf('angle'),
]);

/** Angles one after another, degrees where no unit is said. */
export const anglesField = (about: About, most: number) =>
  z
    .array(angle)
    .max(most)
    .register(fieldMeta, { ...about, kind: 'quantities', dimension: 'angle', units: unitNames('angle') });

const lineWidth = quantityOf('length').superRefine((q, context) => {
  checkSize(q, 'width', 'positive', context);
});

/** Stretches of the blue line: from and to in degrees clockwise from 12, with the line's width. */
export const arcsField = (about: About) =>
  rowsField(
    { from: angle, to: angle, width: lineWidth },
    [
      { name: 'from', label: 'from, °', example: '0' },
      { name: 'to', label: 'to, °', example: '350' },
      { name: 'width', label: 'width', example: '30 thou' },
    ],
    about,
    360,
  );
