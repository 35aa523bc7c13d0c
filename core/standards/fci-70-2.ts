import { standard } from './source';

/** Control valve seat leakage, ANSI/FCI 70-2 and IEC 60534-4. */
export const FCI_70_2 = standard('ANSI/FCI 70-2, IEC 60534-4', 'control valve seat leakage');

/** Share of rated capacity, classes II to IV. */
export const CAPACITY_SHARE = { II: 0.005, III: 0.001, IV: 0.0001 } as const;

/** Test difference of classes II to IV, psi, where the operating difference is not lower. */
export const CAPACITY_TEST_PSI = { least: 45, most: 60 } as const;

/** Class V, mL/min of water per inch of port per psi. */
export const CLASS_V_ML_PER_INCH_PSI = 5e-4;
export const CLASS_V_LEAST_PSI = 100;

/** Class VI by port, inches: air at 50 psi or the rated difference, mL/min and bubbles/min. From 10 in not tabled as bubbles. */
export const CLASS_VI = [
  { portIn: 1, mlPerMinute: 0.15, bubbles: 1 },
  { portIn: 1.5, mlPerMinute: 0.3, bubbles: 2 },
  { portIn: 2, mlPerMinute: 0.45, bubbles: 3 },
  { portIn: 2.5, mlPerMinute: 0.6, bubbles: 4 },
  { portIn: 3, mlPerMinute: 0.9, bubbles: 6 },
  { portIn: 4, mlPerMinute: 1.7, bubbles: 11 },
  { portIn: 6, mlPerMinute: 4, bubbles: 27 },
  { portIn: 8, mlPerMinute: 6.75, bubbles: 45 },
  { portIn: 10, mlPerMinute: 11.1, bubbles: 74 },
  { portIn: 12, mlPerMinute: 16, bubbles: 107 },
  { portIn: 14, mlPerMinute: 21.6, bubbles: 144 },
  { portIn: 16, mlPerMinute: 28.4, bubbles: 189 },
] as const;

export const CLASS_VI_TEST_PSI = 50;
/** A port nearer to a listed one than this takes its row, mm. */
export const CLASS_VI_SAME_PORT_MM = 2;
/** Bubble of the class VI tube, 1/4 in OD × 1/32 in wall, mL. */
export const CLASS_VI_BUBBLE_ML = 0.15;

export const FCI_CLASSES = ['II', 'III', 'IV', 'V', 'VI'] as const;
export type FciClass = (typeof FCI_CLASSES)[number];

/**
 * Seat load that the classes want, lbf per inch of seat circumference (handbook practice). Class V grows with the
 * pressure difference; class VI is for metal seats, soft seats take the maker's figure.
 */
export const SEAT_LOAD_LBF_PER_INCH = {
  II: { low: 20, high: 20 },
  III: { low: 40, high: 40 },
  IV: { low: 40, high: 80 },
  VI: { low: 300, high: 300 },
} as const;
export const CLASS_V_SEAT_LOAD = { base: 40, perPsiLow: 0.1, perPsiHigh: 0.15 } as const;
