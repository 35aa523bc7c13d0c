import { COMMON_PRACTICE, type Source } from './source';

/** Lapping compounds by grit number and mean grain. Other gradings give other sizes; the µm on the pot wins. */
export const LAPPING_PRACTICE: Source = COMMON_PRACTICE;

export const COMPOUNDS = [
  { grit: 120, grainMicrons: 106 },
  { grit: 240, grainMicrons: 50 },
  { grit: 320, grainMicrons: 36 },
  { grit: 400, grainMicrons: 23 },
  { grit: 600, grainMicrons: 14 },
  { grit: 900, grainMicrons: 8 },
  { grit: 1200, grainMicrons: 5 },
] as const;

/** Depth of damage, inches, to which a seat is ground in, and to which it is refaced. */
export const GRIND_IN_TO_IN = 0.002;
export const REFACE_TO_IN = 0.01;
/** Compound is renewed after about this long: a dull one only polishes. */
export const CHARGE_MINUTES = 2;
