import { standard } from './source';

/** API 600 gate valves: how far a wedge may still sink as its faces wear, and the least hard facing. */
export const API_600 = standard('API 600', 'wedge wear travel, finished hard facing', 'medium');

/** Least wear travel, inches, by size. */
export const WEDGE_WEAR_TRAVEL = [
  { upToNps: 2, inches: 0.09 },
  { upToNps: 6, inches: 0.13 },
  { upToNps: 12, inches: 0.25 },
  { upToNps: 18, inches: 0.38 },
  { upToNps: 24, inches: 0.5 },
] as const;

/** Least finished hard facing, mm. */
export const LEAST_HARD_FACING_MM = 1.6;
