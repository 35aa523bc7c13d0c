import { z } from 'zod';
import { addProblem, quantityOf, unitNames, type Dimension } from '../quantity';
import { parseSize, parseThread } from '../standards';
import type { Result } from '../problem';

/** What an input field is, for a form or a list: the schema itself says what it takes. */
export type FieldKind =
  | { kind: 'quantity'; dimension: Dimension; units: readonly string[] }
  | { kind: 'quantities'; dimension: Dimension; units: readonly string[] }
  | { kind: 'number' }
  | { kind: 'choice'; choices: readonly string[] }
  | { kind: 'text' }
  | { kind: 'arcs' };

export type FieldMeta = FieldKind & {
  label: string;
  /** A value that works, as a person would type it. */
  example?: string;
};

/** The labels and kinds of every field, beside the schemas that read them. */
export const fieldMeta = z.registry<FieldMeta>();

type About = { label: string; example?: string };

/** Sign a field's quantity must have. */
type Sign = 'positive' | 'not negative' | 'any';

export function quantityField<D extends Dimension>(dimension: D, about: About, sign: Sign = 'positive') {
  return quantityOf(dimension)
    .superRefine((q, context) => {
      if (sign === 'any' || (sign === 'positive' ? q.value > 0 : q.value >= 0)) return;
      addProblem(context, {
        code: 'input.out-of-range',
        field: about.label,
        value: `${q.value} ${q.unit}`.trim(),
        allowed: sign === 'positive' ? 'more than 0' : '0 or more',
        why: 'less has no meaning here',
      });
    })
    .register(fieldMeta, { ...about, kind: 'quantity', dimension, units: unitNames(dimension) });
}

export function quantitiesField<D extends Dimension>(dimension: D, about: About, most: number) {
  return z
    .array(quantityOf(dimension))
    .max(most)
    .register(fieldMeta, { ...about, kind: 'quantities', dimension, units: unitNames(dimension) });
}

/** A plain number; a numeric text is taken too, since forms and files hold text. */
export function numberField(about: About, least: number, most: number, whole = false) {
  const number = whole ? z.int() : z.number();
  return z
    .union([
      z.number(),
      z
        .string()
        .max(20)
        .regex(/^\s*-?\d+(\.\d+)?\s*$/)
        .transform(Number),
    ])
    .pipe(number.min(least).max(most))
    .register(fieldMeta, { ...about, kind: 'number' });
}

export function choiceField<const C extends readonly [string, ...string[]]>(choices: C, about: About) {
  return z.enum(choices).register(fieldMeta, { ...about, kind: 'choice', choices });
}

function textRead<T>(read: (text: string) => Result<T>, about: About) {
  return z
    .union([z.string().max(40), z.number().transform(String)])
    .transform((text, context): T => {
      const result = read(text);
      if (result.ok) return result.value;
      addProblem(context, result.problem);
      return z.NEVER;
    })
    .register(fieldMeta, { ...about, kind: 'text' });
}

export const threadField = (about: About) => textRead(parseThread, about);
export const sizeField = (about: About) => textRead(parseSize, about);

const angle = z.union([
  z.number().transform((value) => ({ dimension: 'angle' as const, value, unit: '°' })),
  quantityOf('angle'),
]);

/** Stretches of the blue line: from and to in degrees clockwise from 12, with the line's width. */
export function arcsField(about: About) {
  return z
    .array(z.strictObject({ from: angle, to: angle, width: quantityOf('length') }))
    .max(360)
    .register(fieldMeta, { ...about, kind: 'arcs' });
}
