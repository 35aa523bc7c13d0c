import { z } from 'zod';
import {
  addProblem,
  parseQuantity,
  quantityOf,
  si,
  unitNames,
  type Dimension,
  type Quantity,
  type UnitOf,
} from '../../../quantity';
import { fieldMeta, type About } from '../field-meta';
import { NUMERIC } from './numeric';

/** Sign a field's quantity must have. */
type Sign = 'positive' | 'not negative' | 'any';

/** Nothing in the trade is larger, in SI units: a slip of the unit, not a value. */
const ABSURD: Partial<Record<Dimension, number>> = {
  length: 100,
  force: 1e8,
  torque: 1e6,
  'gauge pressure': 5e8,
  'absolute pressure': 5e8,
  'pressure difference': 5e8,
  stress: 1e12,
  area: 100,
  volume: 1e5,
  flow: 100,
  'gas flow': 1e4,
  'flow coefficient': 1e6,
  temperature: 2000,
  mass: 1e6,
  time: 4e9,
  speed: 1000,
  stiffness: 1e10,
  density: 30000,
  'thermal expansion': 1e-3,
  angle: 1e4,
  current: 1000,
  ratio: 1e6,
};

/** Refuses a quantity that is not finite, of a sign it cannot have, or larger than anything of its kind. */
export function checkSize(q: Quantity, label: string, sign: Sign, context: z.core.$RefinementCtx): void {
  const shown = `${q.value} ${q.unit}`.trim();
  const problem = (allowed: string, why: string) =>
    addProblem(context, { code: 'input.out-of-range', field: label, value: shown, allowed, why });
  if (!Number.isFinite(q.value)) problem('a finite number', 'nothing can be reckoned with it');
  else if (sign === 'positive' && q.value <= 0) problem('more than 0', 'less has no meaning here');
  else if (sign === 'not negative' && q.value < 0) problem('0 or more', 'less has no meaning here');
  else if (Math.abs(si(q)) > (ABSURD[q.dimension] ?? Infinity))
    problem('a size that a valve can have', 'this looks like a slip of the unit');
}

export function quantityField<D extends Dimension>(dimension: D, about: About, sign: Sign = 'positive') {
  return quantityOf(dimension)
    .superRefine((q, context) => {
      checkSize(q, about.label, sign, context);
    })
    .register(fieldMeta, {
      ...about,
      kind: 'quantity',
      dimensions: [dimension],
      units: unitNames(dimension),
    });
}

/** A quantity of one of several kinds, such as a signal in psi, mA or percent; the first that can be read is meant. */
export function eitherField<const D extends readonly [Dimension, ...Dimension[]]>(
  dimensions: D,
  about: About,
  sign: Sign = 'positive',
) {
  const [first, ...others] = dimensions;
  return z
    .union([z.string().max(60), z.number(), z.object({ value: z.number(), unit: z.string() }).loose()])
    .transform((raw, context): Quantity<D[number]> => {
      const text =
        typeof raw === 'object'
          ? `${raw.value} ${raw.unit}`.trim()
          : typeof raw === 'number'
            ? String(raw)
            : raw;
      const readings = [first, ...others].map((dimension) => parseQuantity<D[number]>(text, dimension));
      const read = readings.find((each) => each.ok) ?? readings[0];
      if (read?.ok) {
        checkSize(read.value, about.label, sign, context);
        return read.value;
      }
      if (read) addProblem(context, read.problem);
      return z.NEVER;
    })
    .register(fieldMeta, {
      ...about,
      kind: 'quantity',
      dimensions,
      units: dimensions.flatMap((dimension) => unitNames(dimension)),
    });
}

/** A quantity, or a bare number that means `unit`: hours, days, percent. */
export function amountField<D extends Dimension>(
  dimension: D,
  unit: UnitOf<D>,
  about: About,
  sign: Sign = 'positive',
) {
  return z
    .union([z.number(), z.string().max(60), z.object({ value: z.number(), unit: z.string() }).loose()])
    .transform((raw, context): Quantity<D> => {
      const text = typeof raw === 'object' ? `${raw.value} ${raw.unit}` : String(raw);
      const read = parseQuantity(text.trim(), dimension, NUMERIC.test(text) ? { unit } : {});
      if (read.ok) {
        checkSize(read.value, about.label, sign, context);
        return read.value;
      }
      addProblem(context, read.problem);
      return z.NEVER;
    })
    .register(fieldMeta, {
      ...about,
      kind: 'quantity',
      dimensions: [dimension],
      units: unitNames(dimension),
      bareUnit: unit,
    });
}

/** A factor without a unit, as a plain number: `0.12`, `"0.12"` and `"12 %"` are the same. */
export function factorField(about: About, least: number, most: number) {
  return amountField('ratio', '', about, 'any')
    .transform((q, context): number => {
      const value = si(q);
      if (value >= least && value <= most) return value;
      addProblem(context, {
        code: 'input.out-of-range',
        field: about.label,
        value: q.entered ?? String(q.value),
        allowed: `from ${least} to ${most}`,
        why: 'nothing else makes sense here',
      });
      return z.NEVER;
    })
    .register(fieldMeta, { ...about, kind: 'quantity', dimensions: ['ratio'], units: ['%'], bareUnit: '' });
}

export function quantitiesField<D extends Dimension>(dimension: D, about: About, most: number) {
  return z
    .array(
      quantityOf(dimension).superRefine((q, context) => {
        checkSize(q, about.label, 'any', context);
      }),
    )
    .max(most)
    .register(fieldMeta, { ...about, kind: 'quantities', dimension, units: unitNames(dimension) });
}

/** Several of them, one after another; a bare number means `unit`. */
export function amountsField<D extends Dimension>(dimension: D, unit: UnitOf<D>, about: About, most: number) {
  return z
    .array(amountField(dimension, unit, about))
    .max(most)
    .register(fieldMeta, { ...about, kind: 'quantities', dimension, units: unitNames(dimension) });
}
