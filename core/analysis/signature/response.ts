import { quantile } from '../quantile';
import { leastDeviation } from '../straight-line';
import type { Range, Strokes } from './strokes';

/** Travel against the signal, all as shares of their spans. */
export interface Response {
  readonly hysteresis: number;
  readonly deadBand: number;
  readonly linearity: number;
}

const MOST_BINS = 100;
/** Samples a bin should have, both ways together; with fewer bins than this there is no verdict. */
const [SAMPLES_A_BIN, LEAST_BINS] = [4, 24];
/** Beside a turn or a stop the stem stands: only signals at which both strokes move this share of the usual count. */
const MOVES = 0.5;

/**
 * Travel against the signal: largest difference, width along the signal, best straight line. Undefined where too few
 * rows show it.
 */
export function responseOf(
  signal: Float64Array,
  travel: Float64Array,
  strokes: Strokes,
  low: number,
  high: number,
): Response | undefined {
  const binCount = Math.min(MOST_BINS, Math.floor(signal.length / SAMPLES_A_BIN));
  if (binCount < LEAST_BINS) return undefined;
  const middle = (ranges: readonly Range[]) => {
    const found = Array.from({ length: binCount }, (): number[] => []);
    for (const [from, to] of ranges) {
      const stride = Math.max(1, Math.floor((to - from) / 100_000));
      for (let i = from; i < to; i += stride)
        found[Math.floor((signal[i] ?? 0) * binCount)]?.push(((travel[i] ?? 0) - low) / (high - low));
    }
    return found.map((values) =>
      values.length === 0
        ? NaN
        : quantile(
            values.sort((a, b) => a - b),
            0.5,
          ),
    );
  };
  const [rising, falling] = [middle(strokes.rising), middle(strokes.falling)];
  const slopeAt = (values: number[], bin: number) =>
    Math.abs((values[bin + 2] ?? NaN) - (values[bin - 2] ?? NaN));
  const bins = Array.from({ length: binCount }, (_, bin) => ({
    x: (bin + 0.5) / binCount,
    first: rising[bin] ?? NaN,
    second: falling[bin] ?? NaN,
    moves: Math.min(slopeAt(rising, bin), slopeAt(falling, bin)),
  })).filter(({ first, second, moves }) => Number.isFinite(first + second + moves));
  const usual = quantile(
    bins.map(({ moves }) => moves).sort((a, b) => a - b),
    0.7,
  );
  const points = bins
    .filter(({ moves }) => moves > MOVES * usual)
    .map((bin) => ({ ...bin, y: (bin.first + bin.second) / 2 }));
  if (points.length < LEAST_BINS / 3) return undefined;
  const best = leastDeviation(points);
  if (!Number.isFinite(best.deviation)) return undefined;
  const differences = points.map(({ first, second }) => Math.abs(first - second));
  const narrowest = Math.min(...differences);
  return {
    hysteresis: Math.max(...differences) - narrowest,
    deadBand: best.slope === 0 ? 0 : narrowest / Math.abs(best.slope),
    linearity: best.deviation,
  };
}
