import { z } from 'zod';
import type { Quantity } from './quantity';
import { DIMENSIONS } from './units';

/** A line that a gauge types or sends, as far as it is read: how it is made, and where in it the reading is. */
export const linePattern = z.object({
  /** The line with `#` for each number and one blank for any: a line of another shape is none of this gauge's. */
  shape: z.string(),
  /** Which of its numbers is the reading, from 0. */
  number: z.int().min(0),
  decimal: z.enum(['.', ',']),
  /** How many of its last digits are decimals, where no mark says so. */
  implied: z.int().min(0),
  dimension: z.enum(DIMENSIONS),
  unit: z.string(),
});
export type LinePattern = Readonly<z.output<typeof linePattern>>;

/** A number as gauges write it: a sign that may stand apart, digits, one mark or none. */
const NUMBER = /[+-]?\s*\d+(?:[.,]\d+)?/g;
/** More than a gauge writes in a line. */
export const LONGEST_LINE = 120;
const MOST_IMPLIED = 5;

/** What of a line ends it, or pads it, is no part of it. */
const tidy = (line: string): string => line.replaceAll(/\p{Cc}+/gu, ' ').trim();
const shapeOf = (line: string): string => tidy(line).replaceAll(NUMBER, '#').replaceAll(/\s+/g, ' ');
const numbersIn = (line: string): string[] =>
  (tidy(line).match(NUMBER) ?? []).map((each) => each.replaceAll(/\s/g, ''));

function valueOf(text: string, decimal: '.' | ',', implied: number): number | undefined {
  const other = decimal === '.' ? ',' : '.';
  if (text.includes(other) || (implied > 0 && text.includes(decimal))) return undefined;
  return Number(text.replace(decimal, '.')) / 10 ** implied;
}

const isSame = (a: number, b: number): boolean =>
  Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a), Math.abs(b));

/**
 * The pattern of a gauge's lines, from one of them and what the gauge's own face showed with it. Nothing where no number of
 * the line is that figure; where two are, the first is taken. Zero teaches nothing.
 */
export function learnLine(example: string, shows: Quantity): LinePattern | undefined {
  if (shows.value === 0 || example.length > LONGEST_LINE) return undefined;
  const numbers = numbersIn(example);
  for (let implied = 0; implied <= MOST_IMPLIED; implied++)
    for (const decimal of ['.', ','] as const) {
      const number = numbers.findIndex((text) => {
        const value = valueOf(text, decimal, implied);
        return value !== undefined && isSame(value, shows.value);
      });
      if (number < 0) continue;
      const { dimension, unit } = shows;
      return { shape: shapeOf(example), number, decimal, implied, dimension, unit };
    }
  return undefined;
}

/** The reading in a line; nothing where the line is of another shape, such as one in another unit. */
export function readLine(pattern: LinePattern, line: string): Quantity | undefined {
  if (line.length > LONGEST_LINE || shapeOf(line) !== pattern.shape) return undefined;
  const text = numbersIn(line)[pattern.number];
  const value = text === undefined ? undefined : valueOf(text, pattern.decimal, pattern.implied);
  return value === undefined ? undefined : { dimension: pattern.dimension, value, unit: pattern.unit };
}
