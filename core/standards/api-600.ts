import { inches, type Length } from '../quantity';
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

/** Half of a wedge's angle, degrees (API 600: each face about 5° from the stem). */
export const WEDGE_HALF_ANGLE = 5;

/** How far a wedge sinks when so much comes off wedge and seat on each side, in the unit given. */
export const wedgeSink = (removed: number, halfAngle: number = WEDGE_HALF_ANGLE): number =>
  removed / Math.sin((halfAngle * Math.PI) / 180);

/** The least travel a new wedge of this size has to wear; undefined while the size is unknown or not in the table. */
export function wearTravel(nps: number | undefined): Length | undefined {
  const row = nps === undefined ? undefined : WEDGE_WEAR_TRAVEL.find(({ upToNps }) => nps <= upToNps);
  return row && inches(row.inches);
}
