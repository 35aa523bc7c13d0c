import { valueIn, type Angle } from '../quantity';
import type { PartRole } from '../valve';
import { onStep, type JobState } from './state';

/** Marks this far apart still meet (common practice: a punch mark's width on a bonnet). */
export const MARKS_MEET_DEGREES = 5;

/** How far apart two clock positions are, degrees, the short way round. */
export function apartDegrees(a: Angle, b: Angle): number {
  const turned = Math.abs(valueIn(a, '°') - valueIn(b, '°')) % 360;
  return Math.round(Math.min(turned, 360 - turned) * 1e6) / 1e6;
}

/** Where a part's mark stood when that step set it last. */
export function markOf(state: JobState, step: string, part: PartRole): Angle | undefined {
  return onStep(state, 'mark-set', step).findLast(({ body }) => body.part === part)?.body.clock;
}
