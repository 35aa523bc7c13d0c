import { standard } from './source';

/** API 6A wellhead gate valves: body test by rated pressure, psi, for bores to 13 5/8 in; hold times. */
export const API_6A = standard('API 6A', 'body and seat tests, ISO 10423-era values', 'medium');

/** Rated working pressures, psi, as they are stamped. */
export const API_6A_RATINGS = [2000, 3000, 5000, 10_000, 15_000, 20_000] as const;

export const API_6A_BODY_TESTS: readonly {
  rated: (typeof API_6A_RATINGS)[number];
  body: number;
  /** For bores of 16 3/4 in and more. */
  large?: number;
  note?: string;
}[] = [
  { rated: 2000, body: 4000, large: 3000 },
  { rated: 3000, body: 6000, large: 4500 },
  { rated: 5000, body: 7500, note: 'an older edition has 10 000 psi: go by the nameplate' },
  { rated: 10000, body: 15000 },
  { rated: 15000, body: 22500 },
  { rated: 20000, body: 30000 },
];

/** Seat tests at rated pressure, no visible leak, at least this long; the low-pressure gas seat test of the 3G grade. */
export const API_6A_HOLD_SECONDS = 180;
export const API_6A_LOW_GAS_PSIG = 300;
/** A bore from which the larger table counts, inches. */
export const API_6A_LARGE_BORE = 16;
/** A test starts no higher than this above its figure. */
export const API_6A_MOST_OVER = 1.05;
