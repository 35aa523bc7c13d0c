import { ok, refuse, type Result } from '../problem';
import { quantity, type Quantity } from './quantity';
import { readNumber, type DecimalMark } from './read-number';
import { unitsNear, unitsSpelt } from './read-unit';
import { unitNames, unitOf, type Dimension, type UnitOf } from './units';

export interface ParseOptions<D extends Dimension> {
  /** What a bare number means; without it a unit must be typed. */
  unit?: UnitOf<D>;
  decimal?: DecimalMark;
}

/**
 * Reads a quantity the way people type it: `3/4 in`, `1 1/2"`, `12 thou`, `5' 3 1/2"`, `25 ft-lb`, `60 psig`,
 * `0,003 in`. A refusal says what was understood and what was not.
 */
export function parseQuantity<D extends Dimension>(
  text: string,
  dimension: D,
  options: ParseOptions<D> = {},
): Result<Quantity<D>> {
  const trimmed = text.trim();
  if (trimmed === '') return refuse({ code: 'quantity.empty' });
  const twice = dimension === 'length' && options.decimal !== ',' ? twoReadings(trimmed) : undefined;
  if (twice) return refuse({ code: 'quantity.two-readings', text: trimmed, ...twice });
  const read = readNumber(trimmed, options.decimal);
  if (!read) return refuse({ code: 'quantity.unreadable', text: trimmed, understood: '', leftover: trimmed });
  if (!Number.isFinite(read.value)) return refuse({ code: 'quantity.not-finite', text: trimmed });

  const feet = dimension === 'length' ? feetAndInches(read.value, read.rest, options.decimal) : undefined;
  if (feet !== undefined) return ok(entered(dimension, feet, 'in', trimmed));

  const name = read.rest;
  if (name === '') return bare(trimmed, read.value, dimension, options.unit);
  const meant = unitsSpelt(name);
  const here = meant.find((each) => each.dimension === dimension);
  if (here) return ok(entered(dimension, read.value, here.unit, trimmed));
  if (meant.length > 0) {
    const found = [...new Set(meant.map((each) => each.dimension))];
    return refuse({ code: 'quantity.wrong-kind', text: trimmed, unit: name, wanted: dimension, found });
  }
  if (/\d/.test(name)) {
    return refuse({
      code: 'quantity.unreadable',
      text: trimmed,
      understood: read.understood,
      leftover: name,
    });
  }
  const suggestions = unitsNear(name, dimension);
  return refuse({
    code: 'quantity.unit-unknown',
    text: trimmed,
    number: read.value,
    unit: name,
    suggestions,
  });
}

/**
 * A length as `1,125 in`: thousands where a point is for decimals, a little over one where a comma is. No valve is
 * measured in thousands of anything, and a hand that writes commas writes them for decimals: which, is asked.
 */
function twoReadings(text: string): { either: string; or: string } | undefined {
  const found = /^([-+]?[1-9]\d{0,2}),(\d{3})(?![\d.,])\s*(.*)$/.exec(text);
  if (!found) return undefined;
  const [, whole = '', thousandths = '', unit = ''] = found;
  return { either: `${whole}${thousandths} ${unit}`.trim(), or: `${whole}.${thousandths} ${unit}`.trim() };
}

function bare<D extends Dimension>(text: string, value: number, dimension: D, unit: UnitOf<D> | undefined) {
  if (unit !== undefined) return ok(quantity(dimension, value, unit));
  if (dimension === 'ratio') return ok(entered(dimension, value, '', text));
  return refuse({
    code: 'quantity.unit-missing' as const,
    text,
    number: value,
    suggestions: unitNames(dimension).slice(0, 3),
  });
}

/** The typed text is kept beside the number; the unit was looked up in this dimension's own table. */
function entered<D extends Dimension>(dimension: D, value: number, unit: string, text: string): Quantity<D> {
  if (!isUnitOf(dimension, unit)) throw new RangeError(`${dimension} has no unit '${unit}'`);
  return { ...quantity(dimension, value, unit), entered: text };
}

function isUnitOf<D extends Dimension>(dimension: D, unit: string): unit is UnitOf<D> {
  return unitOf(dimension, unit) !== undefined;
}

/** `5' 3 1/2"` and `5 ft 3 in` in inches; undefined when the text is no such pair. */
function feetAndInches(feet: number, rest: string, decimal: DecimalMark | undefined): number | undefined {
  const mark = /^(?:ft|feet|foot|['′’])\s*-?\s*(?=\d)/i.exec(rest);
  if (!mark) return undefined;
  const inches = readNumber(rest.slice(mark[0].length), decimal);
  if (!inches || !unitsSpelt(inches.rest || 'in').some(({ unit }) => unit === 'in')) return undefined;
  return feet * 12 + Math.sign(feet || 1) * inches.value;
}

export interface QuantityRange<D extends Dimension> {
  low: Quantity<D>;
  high: Quantity<D>;
}

/** Reads `3-15 psi`, `0.2-1.0 bar` and `3 to 15 psi`; the unit stands once, after the second number. */
export function parseRange<D extends Dimension>(
  text: string,
  dimension: D,
  options: ParseOptions<D> = {},
): Result<QuantityRange<D>> {
  const parts = /^(.*?\d)\s*(?:-|–|to|\.\.)\s*([\d.,].*)$/i.exec(text.trim());
  if (!parts) return refuse({ code: 'quantity.unreadable', text, understood: '', leftover: text });
  const high = parseQuantity(parts[2] ?? '', dimension, options);
  if (!high.ok) return high;
  const { unit } = high.value;
  const low = parseQuantity(
    parts[1] ?? '',
    dimension,
    isUnitOf(dimension, unit) ? { ...options, unit } : options,
  );
  return low.ok ? ok({ low: low.value, high: high.value }) : low;
}
