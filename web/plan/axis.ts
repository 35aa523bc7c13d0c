import { stretchesWithin, type Stretch } from './stretches';

/** A stretch of minutes and where it lies: shares of the width, from 0 to 1. */
export interface Segment {
  readonly from: number;
  readonly to: number;
  readonly left: number;
  readonly right: number;
}

/** Time as it is drawn: open hours to scale, nights and other closed time drawn together to a seam. */
export interface Axis {
  readonly from: number;
  readonly to: number;
  readonly segments: readonly Segment[];
}

/** Closed for longer than this it is no break but a seam. */
const BREAK_MINUTES = 90;
/** What a seam takes of the width. */
const SEAM = 0.012;

/** The axis of what is open between two minutes; where nothing is, of all of it. */
export function axisOf(open: readonly Stretch[], from: number, to: number): Axis {
  const joined = stretchesWithin(open, from, to, BREAK_MINUTES);
  const stretches: readonly Stretch[] = joined.length === 0 ? [[from, to]] : joined;
  const minutes = stretches.reduce((sum, [a, b]) => sum + b - a, 0);
  const width = 1 - SEAM * (stretches.length - 1);
  let left = 0;
  const segments = stretches.map(([a, b]): Segment => {
    const right = left + ((b - a) / minutes) * width;
    const segment = { from: a, to: b, left, right };
    left = right + SEAM;
    return segment;
  });
  return { from, to, segments };
}

/** Where a minute lies; one in closed hours lies in its seam. */
export function at({ segments }: Axis, minute: number): number {
  let seam = 0;
  for (const { from, to, left, right } of segments) {
    if (minute < from) return seam;
    if (minute <= to) return left + ((minute - from) / (to - from)) * (right - left);
    seam = right;
  }
  return seam;
}

/** The minute that lies there; in a seam the one at which it opens again. */
export function minuteAt({ segments }: Axis, share: number): number {
  for (const { from, to, left, right } of segments) {
    if (share < left) return from;
    if (share <= right) return from + ((share - left) / (right - left)) * (to - from);
  }
  return segments.at(-1)?.to ?? 0;
}
