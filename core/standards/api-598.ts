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

export const IRON_BODIES = [
  'cast iron 125',
  'cast iron 250',
  'ductile iron 150',
  'ductile iron 300',
] as const;
export type IronBody = (typeof IRON_BODIES)[number];

/**
 * Iron bodies, psig at ambient temperature, to NPS 12 and above it: the rating (ASME B16.1, B16.42; from memory, high
 * confidence) and the shell test (API 598).
 */
export const IRON_PRESSURES: Readonly<
  Record<IronBody, { readonly rating: ToNps12AndAbove; readonly shell: ToNps12AndAbove }>
> = {
  'cast iron 125': { rating: { to12: 200, above: 150 }, shell: { to12: 350, above: 265 } },
  'cast iron 250': { rating: { to12: 500, above: 300 }, shell: { to12: 875, above: 525 } },
  'ductile iron 150': { rating: { to12: 250, above: 250 }, shell: { to12: 400, above: 400 } },
  'ductile iron 300': { rating: { to12: 640, above: 640 }, shell: { to12: 975, above: 975 } },
};

interface ToNps12AndAbove {
  readonly to12: number;
  readonly above: number;
}

/** Valves by how API 598 tests their closure. */
export type ClosureTested =
  'globe' | 'gate' | 'plug' | 'lubricated plug' | 'floating ball' | 'trunnion ball' | 'butterfly' | 'check';

export type ClosureTest = 'low-pressure gas' | 'high-pressure liquid';

/**
 * The closure test that API 598 requires; the other is optional, as the buyer asks. Tables 1 and 2: NPS 4 and smaller
 * to class 1500, larger to class 600, and what lies above. From memory, medium to high confidence.
 */
export function requiredClosureTest(valve: ClosureTested, nps: number, pressureClass: number): ClosureTest {
  const isOfTable1 = nps <= 4 ? pressureClass <= 1500 : pressureClass <= 600;
  switch (valve) {
    case 'globe':
    case 'check':
    case 'lubricated plug':
      return 'high-pressure liquid';
    case 'floating ball':
      return 'low-pressure gas';
    case 'gate':
    case 'plug':
    case 'trunnion ball':
    case 'butterfly':
      return isOfTable1 ? 'low-pressure gas' : 'high-pressure liquid';
  }
}

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
