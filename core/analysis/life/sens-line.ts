import type { Line } from '../straight-line';

/** A line through points by the median of their slopes, and the flattest and steepest that the points still bear. */
export interface SensLine extends Line {
  readonly low: Line;
  readonly high: Line;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Two-sided 80 % of the normal distribution. */
const EIGHTY_PERCENT = 1.2816;

/**
 * The Theil–Sen line: the median of the slopes between points at different x, its intercept the median of y − slope·x;
 * with Sen's 80 % interval of the slope, each bound with its own intercept. Undefined where all x are the same.
 * Source: Sen 1968; Gilbert 1987, section 16.5.
 */
export function sensLine(points: readonly Point[]): SensLine | undefined {
  const slopes = points
    .flatMap((a, i) => points.slice(i + 1).flatMap((b) => (b.x === a.x ? [] : [(b.y - a.y) / (b.x - a.x)])))
    .sort((a, b) => a - b);
  const [n, pairs] = [points.length, slopes.length];
  if (pairs === 0) return undefined;
  const spread = EIGHTY_PERCENT * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const lower = Math.max(1, Math.round((pairs - spread) / 2));
  const upper = Math.min(pairs, Math.round((pairs + spread) / 2) + 1);
  const through = (slope: number): Line => ({
    slope,
    intercept: median(points.map(({ x, y }) => y - slope * x)),
  });
  return {
    ...through(median(slopes)),
    low: through(slopes[lower - 1] ?? 0),
    high: through(slopes[upper - 1] ?? 0),
  };
}

/** The middle one, or the mean of the two in the middle; NaN of none. */
export function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const half = sorted.length / 2;
  const [low, high] = [sorted[Math.ceil(half) - 1], sorted[Math.floor(half)]];
  return low === undefined || high === undefined ? NaN : (low + high) / 2;
}
