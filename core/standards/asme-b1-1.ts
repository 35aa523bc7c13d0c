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

/** Threads per inch that are made at a diameter, inches (ASME B1.1, from memory): coarse and fine by name, then the constant pitches. */
const UNIFIED_COARSE: readonly (readonly [diameter: number, perInch: number])[] = [
  ...STUD_THREADS.filter(([, diameter]) => diameter <= 1).map(([, d, n]) => [d, n] as const),
  [1.125, 7],
  [1.25, 7],
  [1.375, 6],
  [1.5, 6],
  [1.75, 5],
  [2, 4.5],
  [2.25, 4.5],
  [2.5, 4],
  [2.75, 4],
  [3, 4],
  [3.25, 4],
  [3.5, 4],
  [3.75, 4],
  [4, 4],
];
const UNIFIED_FINE: readonly (readonly [diameter: number, perInch: number])[] = [
  [0.25, 28],
  [0.3125, 24],
  [0.375, 24],
  [0.4375, 20],
  [0.5, 20],
  [0.5625, 18],
  [0.625, 18],
  [0.75, 16],
  [0.875, 14],
  [1, 12],
  [1, 14],
];
/** Constant-pitch and extra-fine series: threads per inch, from and to which diameter they are made. */
const CONSTANT_PITCH: readonly (readonly [perInch: number, from: number, to: number])[] = [
  [4, 2.5, 4],
  [6, 1.375, 4],
  [8, 1, 4],
  [12, 0.5625, 4],
  [16, 0.375, 4],
  [18, 1.0625, 1.6875],
  [20, 0.25, 3],
  [24, 0.5625, 0.6875],
  [28, 0.25, 1.5],
  [32, 0.25, 1],
];

/** Numbered machine screws: their diameter, and the threads per inch they are made with, coarse first. */
const NUMBERED: Readonly<Record<string, readonly [diameter: number, perInch: readonly number[]]>> = {
  4: [0.112, [40, 48]],
  5: [0.125, [40, 44]],
  6: [0.138, [32, 40]],
  8: [0.164, [32, 36]],
  10: [0.19, [24, 32]],
  12: [0.216, [24, 28]],
};

function isMade(diameter: number, perInch: number): boolean {
  const is = ([d, n]: readonly [number, number]) => Math.abs(d - diameter) < 1e-6 && n === perInch;
  return (
    UNIFIED_COARSE.some(is) ||
    UNIFIED_FINE.some(is) ||
    CONSTANT_PITCH.some(([n, from, to]) => n === perInch && diameter >= from && diameter <= to)
  );
}

/**
 * Reads `3/4-10`, `3/4-10 UNC-2A`, `1 1/8-8`, `#10-24`, `M20x2.5`, `M20x2.5-6g`; `3/4"` and `M20` are coarse. Numbers
 * 4 to 12, 1/4 to 4 in and M5 to M100 are taken, at pitches that are made.
 */
export function parseThread(text: string): Result<Thread> {
  return metric(text) ?? numbered(text) ?? unified(text) ?? refuse(unreadable(text));
}

const unreadable = (text: string) =>
  ({
    code: 'table.no-entry',
    table: 'threads',
    looked: text.trim(),
    has: 'unified such as 3/4-10, metric such as M20x2.5',
  }) as const;

function metric(text: string): Result<Thread> | undefined {
  const found = /^m\s*(\d+(?:\.\d+)?)(?:\s*[x×*]\s*(\d+(?:\.\d+)?))?(?:\s*-?\s*\d[a-z]\d?[a-z]?)?$/i.exec(
    text.trim(),
  );
  if (!found) return undefined;
  const diameterMm = Number(found[1]);
  const pitchMm = found[2] === undefined ? (METRIC_COARSE[diameterMm] ?? 0) : Number(found[2]);
  const sensible =
    diameterMm >= 5 && diameterMm <= 100 && pitchMm >= 0.5 && pitchMm <= 6 && pitchMm < diameterMm / 3;
  return sensible
    ? ok({ series: 'metric', designation: `M${diameterMm}×${pitchMm}`, diameterMm, pitchMm })
    : refuse(unreadable(text));
}

function numbered(text: string): Result<Thread> | undefined {
  const found = new RegExp(`^(?:#|no\\.? ?)(\\d+)(?:\\s*-\\s*(\\d+))?${SERIES}$`, 'i').exec(text.trim());
  const made = found && NUMBERED[found[1] ?? ''];
  if (!found || !made) return undefined;
  const [diameterIn, pitches] = made;
  const perInch = found[2] === undefined ? (pitches[0] ?? 0) : Number(found[2]);
  return pitches.includes(perInch)
    ? ok({ series: 'unified', designation: `#${found[1] ?? ''}-${perInch}`, diameterIn, perInch })
    : refuse(unreadable(text));
}

/** The series and class that may stand behind a thread: `UNC-2A`, `8UN`, `UNF 3B`. */
const SERIES = '(?:\\s*(?:unc|unf|unef|uns|8un|un)(?:\\s*-?\\s*\\d[ab])?)?';

function unified(text: string): Result<Thread> | undefined {
  const found = new RegExp(
    `^(.+?)\\s*(?:"|″|”|in\\.?)?(?:\\s*-\\s*(\\d+(?:\\.5| 1/2)?))?${SERIES}$`,
    'i',
  ).exec(text.trim());
  const named = found?.[2] === undefined && !/"|″|”|in|un/i.test(text);
  const diameter = found && !named ? readNumber(found[1] ?? '') : undefined;
  if (!found || !diameter || diameter.rest !== '') return undefined;
  const coarse = UNIFIED_COARSE.find(([d]) => Math.abs(d - diameter.value) < 1e-6)?.[1];
  const perInch = found[2] === undefined ? (coarse ?? 0) : Number(found[2].replace(' 1/2', '.5'));
  return isMade(diameter.value, perInch)
    ? ok({
        series: 'unified',
        designation: `${(found[1] ?? '').trim()}-${perInch}`,
        diameterIn: diameter.value,
        perInch,
      })
    : refuse(unreadable(text));
}
