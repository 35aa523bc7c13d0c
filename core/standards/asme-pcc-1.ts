import { standard } from './source';

/** Legacy cross-pattern tightening sequences by bolt count. Bolts are numbered clockwise from 12 o'clock. */
export const PCC_1 = standard('ASME PCC-1', 'legacy cross-pattern tightening sequence', 'medium');

export const CROSS_PATTERNS: Readonly<Record<number, readonly number[]>> = {
  4: [1, 3, 2, 4],
  8: [1, 5, 3, 7, 2, 6, 4, 8],
  12: [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12],
  16: [1, 9, 5, 13, 3, 11, 7, 15, 2, 10, 6, 14, 4, 12, 8, 16],
  20: [1, 11, 6, 16, 3, 13, 8, 18, 5, 15, 10, 20, 2, 12, 7, 17, 4, 14, 9, 19],
  24: [1, 13, 7, 19, 4, 16, 10, 22, 2, 14, 8, 20, 5, 17, 11, 23, 3, 15, 9, 21, 6, 18, 12, 24],
  28: [1, 15, 8, 22, 4, 18, 11, 25, 6, 20, 13, 27, 2, 16, 9, 23, 5, 19, 12, 26, 7, 21, 14, 28, 3, 17, 10, 24],
  32: [
    1, 17, 9, 25, 5, 21, 13, 29, 3, 19, 11, 27, 7, 23, 15, 31, 2, 18, 10, 26, 6, 22, 14, 30, 4, 20, 12, 28, 8,
    24, 16, 32,
  ],
};

/** Percent of final torque, pass by pass; a circular pass at 100 % follows in each school. */
export const TIGHTENING_PASSES = { quarters: [25, 50, 75, 100], thirds: [30, 70, 100] } as const;
