import { standard } from './source';

/** MSS SP-61: seat leakage by size, mL/h of liquid or ft³/h of gas per inch NPS; check valves have their own. */
export const MSS_SP_61 = standard('MSS SP-61', 'seat leakage and durations', 'medium');

export const SP_61_LEAKAGE = {
  liquidMlPerHour: 10,
  gasCubicFeetPerHour: 0.1,
  checkLiquidMlPerHour: 40,
} as const;

/** Holds of ASME B16.34, which MSS SP-61 shares, seconds. */
export const B16_34_HOLDS = [
  { upToNps: 2, shell: 15, seat: 15 },
  { upToNps: 8, shell: 60, seat: 30 },
  { upToNps: 18, shell: 180, seat: 60 },
  { upToNps: Infinity, shell: 180, seat: 120 },
] as const;

/** Up to where gas at 80 psi may stand for 1.1 × the rating (from memory, medium to high). */
export const GAS_ALONE_TO = { anyClassNps: 4, nps: 12, pressureClass: 400 } as const;

/** Least gas pressure of a seat test done with gas instead of 1.1 × the rating, psig. */
export const GAS_SEAT_TEST_PSIG = 80;
