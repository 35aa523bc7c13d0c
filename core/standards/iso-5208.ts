import { standard } from './source';

/** ISO 5208 leakage rates, mm³/s per mm of DN. Rates AA, CC and EE are in neither EN 12266-1 nor the 1993 edition. */
export const ISO_5208 = standard('ISO 5208', 'leakage rates, 2008 and later');

export const ISO_5208_RATES = {
  A: { liquid: 0, gas: 0 },
  AA: { liquid: 0.006, gas: 0.18 },
  B: { liquid: 0.01, gas: 0.3 },
  C: { liquid: 0.03, gas: 3 },
  CC: { liquid: 0.08, gas: 22.3 },
  D: { liquid: 0.1, gas: 30 },
  E: { liquid: 0.3, gas: 300 },
  EE: { liquid: 0.39, gas: 470 },
  F: { liquid: 1, gas: 3000 },
  G: { liquid: 2, gas: 6000 },
} as const;

export type Iso5208Rate = keyof typeof ISO_5208_RATES;

export function isIso5208Rate(text: string): text is Iso5208Rate {
  return Object.hasOwn(ISO_5208_RATES, text);
}

/** Volume of a drop and of a bubble of the standard's tube, mm³. */
export const ISO_5208_EVENT_MM3 = { drop: 62.5, bubble: 65.4 } as const;

/** Hold of the seat test by DN, seconds. */
export const ISO_5208_HOLDS = [
  { upToDn: 50, seat: 15 },
  { upToDn: 150, seat: 60 },
  { upToDn: 300, seat: 120 },
  { upToDn: Infinity, seat: 120 },
] as const;

/** A check valve is held no less than this, seconds (from memory, medium to high). */
export const ISO_5208_CHECK_HOLD = 60;

/** Gas seat test, bar gauge. */
export const ISO_5208_GAS_BAR = 6;
