import { ok, refuse, type Result } from '../problem';
import { readNumber } from '../quantity';
import { standard } from './source';

export const B1_1 = standard('ASME B1.1', 'tensile stress area of unified threads');
export const ISO_898_1 = standard('ISO 898-1', 'tensile stress area of metric threads');

/** Coarse threads to 1 in and 8UN above: the stud sizes of ASME B16.5 flanges and bonnets. Inches, threads per inch. */
export const STUD_THREADS: readonly (readonly [designation: string, diameter: number, perInch: number])[] = [
  ['1/4-20', 0.25, 20],
  ['5/16-18', 0.3125, 18],
  ['3/8-16', 0.375, 16],
  ['7/16-14', 0.4375, 14],
  ['1/2-13', 0.5, 13],
  ['9/16-12', 0.5625, 12],
  ['5/8-11', 0.625, 11],
  ['3/4-10', 0.75, 10],
  ['7/8-9', 0.875, 9],
  ['1-8', 1, 8],
  ['1 1/8-8', 1.125, 8],
  ['1 1/4-8', 1.25, 8],
  ['1 3/8-8', 1.375, 8],
  ['1 1/2-8', 1.5, 8],
  ['1 5/8-8', 1.625, 8],
  ['1 3/4-8', 1.75, 8],
  ['1 7/8-8', 1.875, 8],
  ['2-8', 2, 8],
  ['2 1/4-8', 2.25, 8],
  ['2 1/2-8', 2.5, 8],
  ['2 3/4-8', 2.75, 8],
  ['3-8', 3, 8],
  ['3 1/2-8', 3.5, 8],
];

export type Thread =
  | {
      readonly series: 'unified';
      readonly designation: string;
      readonly diameterIn: number;
      readonly perInch: number;
    }
  | {
      readonly series: 'metric';
      readonly designation: string;
      readonly diameterMm: number;
      readonly pitchMm: number;
    };

/** Coarse pitches of ISO 261/262, mm by diameter: a metric thread named without a pitch is coarse. */
export const METRIC_COARSE: Readonly<Record<number, number>> = {
  5: 0.8,
  6: 1,
  8: 1.25,
  10: 1.5,
  12: 1.75,
  14: 2,
  16: 2,
  18: 2.5,
  20: 2.5,
  22: 2.5,
  24: 3,
  27: 3,
  30: 3.5,
  33: 3.5,
  36: 4,
  39: 4,
  42: 4.5,
  45: 4.5,
  48: 5,
  52: 5,
  56: 5.5,
  60: 5.5,
  64: 6,
};

/** Reads `3/4-10`, `1 1/8-8`, `M20x2.5` and `M20`, which is coarse. Diameters from 1/4 to 4 in and M5 to M100 are taken. */
export function parseThread(text: string): Result<Thread> {
  return metric(text) ?? unified(text) ?? refuse(unreadable(text));
}

const unreadable = (text: string) =>
  ({
    code: 'table.no-entry',
    table: 'threads',
    looked: text.trim(),
    has: 'unified such as 3/4-10, metric such as M20x2.5',
  }) as const;

function metric(text: string): Result<Thread> | undefined {
  const found = /^m\s*(\d+(?:\.\d+)?)(?:\s*[x×*]\s*(\d+(?:\.\d+)?))?$/i.exec(text.trim());
  if (!found) return undefined;
  const diameterMm = Number(found[1]);
  const pitchMm = found[2] === undefined ? (METRIC_COARSE[diameterMm] ?? 0) : Number(found[2]);
  const sensible =
    diameterMm >= 5 && diameterMm <= 100 && pitchMm >= 0.5 && pitchMm <= 6 && pitchMm < diameterMm / 3;
  return sensible
    ? ok({ series: 'metric', designation: `M${diameterMm}×${pitchMm}`, diameterMm, pitchMm })
    : refuse(unreadable(text));
}

function unified(text: string): Result<Thread> | undefined {
  const found = /^(.+?)\s*(?:"|in)?\s*-\s*(\d+)\s*(unc|unf|un|8un)?$/i.exec(text.trim());
  const diameter = found ? readNumber(found[1] ?? '') : undefined;
  if (!found || !diameter || diameter.rest !== '') return undefined;
  const perInch = Number(found[2]);
  const sensible = diameter.value >= 0.25 && diameter.value <= 4 && perInch >= 4 && perInch <= 32;
  return sensible
    ? ok({
        series: 'unified',
        designation: `${(found[1] ?? '').trim()}-${perInch}`,
        diameterIn: diameter.value,
        perInch,
      })
    : refuse(unreadable(text));
}
