import { inches, type Length } from '../quantity';
import { COMMON_PRACTICE, type Source } from './source';

export const CLEARANCES: Source = { ...COMMON_PRACTICE, name: 'Clearances of guides and hinge pins' };

/** Inches, and inches per inch of diameter. A guide may be twice its clearance when new. */
export const CLEARANCE_LIMITS = {
  twice: 2,
  base: 0.01,
  perInch: 0.001,
  pin: 0.03,
  pinShare: 0.02,
} as const;

export const STEM_WEAR: Source = { ...COMMON_PRACTICE, name: 'Wear of a stem in its packing' };

/** Inches; `reading` is what two readings of one diameter may differ by. */
export const STEM_WEAR_LIMITS = { share: 0.02, most: 0.005, reading: 0.001 } as const;

/** Most wear, taper or out-of-round of a cylinder: inches per inch of bore, and never less than this in inches. */
export const BORE_LIMITS = { perInch: 0.00125, least: 0.004 } as const;

export const SEAT_RINGS: Source = { ...COMMON_PRACTICE, name: 'Seat rings of a double seat' };

export const TURNING_TORQUE: Source = { ...COMMON_PRACTICE, name: 'Turning torque against last time' };

/** Share of what it was: over the one it binds, under the other something is worn or slack. */
export const TURNING_TORQUE_LIMITS = { most: 1.25, least: 0.75 } as const;

export const REGULATOR: Source = { ...COMMON_PRACTICE, name: 'Set and lock-up of a regulator' };

/** Shares of set; pascals: 1 psi, and a tenth of it, which is what a test gauge shows. */
export const REGULATOR_LIMITS = {
  setWithin: 0.02,
  lockUpShare: 0.1,
  lockUpLeast: 6894.757,
  creepShows: 690,
} as const;

export const POSITIONER: Source = { ...COMMON_PRACTICE, name: 'Stroke test, with a positioner and without' };

/** Percent of the rated travel: largest error, hysteresis and dead band, zero and span. */
export const POSITIONER_LIMITS = { error: 1.5, hysteresis: 1, ends: 0.5 } as const;
/** The same where the signal goes straight into the actuator. */
export const STRAIGHT_LIMITS = { error: 8, hysteresis: 6, ends: 2 } as const;
/** A step may run past by this share of itself, percent. */
export const OVERSHOOT_MOST = 10;

/** An end of a bench set: share of its span, and psi, whichever is more (common practice). */
export const BENCH_ENDS = { share: 0.05, leastPsi: 0.5 } as const;

/** The least that an actuator stem is off its own stop when it is coupled (common practice). */
export const COUPLED_OFF_STOP: Length = { ...inches(1 / 16), entered: '1/16 in' };

/** Share of its head that a dump valve may open off it: as near as a weight is slid (common practice). */
export const DUMP_WITHIN = 0.05;

/** Share of the rated travel that a stroke may be off (common practice). */
export const TRAVEL_WITHIN = 0.02;

/** Both sides of a cylinder at balance: share of its supply, and how near is near enough; from memory. */
export const CYLINDER_BALANCE = { share: 0.75, within: 0.05 } as const;
