import { standard } from './source';

/** API 598, valve inspection and testing: table data only; the arithmetic is in `workings/`. */
export const API_598 = standard('API 598', 'test pressures, durations and leakage');

export const API_598_EDITIONS = ['stricter', 'per-inch-over-2', 'per-inch-over-12', 'flat-over-12'] as const;

/**
 * Editions differ in the leakage of metal seats. `per-inch-over-12`: 2 drops, 4 bubbles per inch from NPS 14;
 * `flat-over-12`: 28 drops, 56 bubbles flat from NPS 14; `per-inch-over-2`: per inch for every size over 2;
 * `stricter`: the least of them, for a site that has not said which edition it works to.
 */
export type Api598Edition = (typeof API_598_EDITIONS)[number];

/** Other names people give the editions. */
export const API_598_EDITION_NAMES: Readonly<Record<string, Api598Edition>> = {
  older: 'flat-over-12',
  '8th': 'flat-over-12',
  '2004': 'flat-over-12',
  '9th': 'per-inch-over-12',
  '2009': 'per-inch-over-12',
  later: 'per-inch-over-2',
  '10th': 'per-inch-over-2',
  '2016': 'per-inch-over-2',
};

/** The editions in words, for a certificate. */
export const EDITION_NAMES: Readonly<Record<Api598Edition, string>> = {
  stricter: 'not set, the stricter is used',
  'per-inch-over-2': 'per inch for every size over 2',
  'per-inch-over-12': 'per inch from NPS 14',
  'flat-over-12': 'flat from NPS 14',
};

/** Iron valves: shell test psig by body, to NPS 12 and above it. */
export const IRON_SHELL_TESTS = {
  'cast iron 125': { to12: 350, above: 265 },
  'cast iron 250': { to12: 875, above: 525 },
  'ductile iron 150': { to12: 400, above: 400 },
  'ductile iron 300': { to12: 975, above: 975 },
} as const;

/** Most chlorides in the test water of austenitic stainless steel, ppm (an older edition: 100). */
export const CHLORIDES_PPM = 50;

/** Metal check valves: mL/min of water and standard ft³/h of gas per inch NPS. */
export const METAL_CHECK_LEAKAGE = { liquidMlPerMinute: 3, gasCubicFeetPerHour: 1.5 } as const;

/** Hold times, seconds, by size: rows are the largest NPS the row covers. */
export const HOLD_SECONDS = [
  { upToNps: 2, shell: 15, closure: 15, backseat: 15, checkShell: 60, checkClosure: 60 },
  { upToNps: 6, shell: 60, closure: 60, backseat: 60, checkShell: 60, checkClosure: 60 },
  { upToNps: 12, shell: 120, closure: 120, backseat: 60, checkShell: 120, checkClosure: 120 },
  { upToNps: Infinity, shell: 300, closure: 120, backseat: 60, checkShell: 300, checkClosure: 120 },
] as const;

/** Metal seats other than check valves: most drops (liquid) and bubbles (gas) a minute, sizes up to 12. */
export const METAL_SEAT_LEAKAGE = [
  { upToNps: 2, drops: 0, bubbles: 0 },
  { upToNps: 6, drops: 12, bubbles: 24 },
  { upToNps: 12, drops: 20, bubbles: 40 },
] as const;

export const PER_INCH = { drops: 2, bubbles: 4 } as const;
export const FLAT_OVER_12 = { drops: 28, bubbles: 56 } as const;

/** 1 mL = 16 drops (API 598). */
export const DROPS_PER_ML = 16;
/** Class 150 to 2500 test factors on the 100 °F rating. */
export const SHELL_FACTOR = { numerator: 3, denominator: 2 } as const;
export const CLOSURE_FACTOR = { numerator: 11, denominator: 10 } as const;
/** Low-pressure gas closure test, psig; 80–100 also meets ASME B16.34. */
export const LOW_PRESSURE_CLOSURE_PSIG = { low: 60, high: 100 } as const;
/** Shell test pressures are rounded up to the next 25 psi. */
export const SHELL_ROUNDING_PSI = 25;
