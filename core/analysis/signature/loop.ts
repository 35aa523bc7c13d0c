import { leastSquares, type Line } from '../straight-line';
import { quantile } from '../quantile';
import type { StrokeRecording } from './recording';
import type { Range } from './strokes';

/** Middle pressure by travel of the strokes one way, for fitting and drawing. */
export interface Trace {
  readonly travel: number[];
  readonly pressure: number[];
}

const MOST_BINS = 200;
/** Samples a bin should have, both ways together. */
const SAMPLES_A_BIN = 6;
/** Lines are fitted over this part of the travel: the ends belong to the stops. */
const [FIT_FROM, FIT_TO] = [0.1, 0.9];
/** Bins of each stroke that must hold something: a stem that sticks visits few. */
const LEAST_BINS = 8;

/** The middle of the pressures at each travel: a sample that is far off moves nothing. */
export function traceOf(
  { travel, pressure }: StrokeRecording,
  ranges: readonly Range[],
  low: number,
  high: number,
): Trace {
  const bins = Math.min(MOST_BINS, Math.max(2 * LEAST_BINS, Math.floor(travel.length / SAMPLES_A_BIN)));
  const perTravel = bins / (high - low);
  const binOf = (i: number) => Math.floor(((travel[i] ?? 0) - low) * perTravel);
  const counts = new Uint32Array(bins + 1);
  for (const [from, to] of ranges)
    for (let i = from; i < to; i++) {
      const bin = binOf(i);
      if (bin >= 0 && bin < bins) counts[bin + 1] = (counts[bin + 1] ?? 0) + 1;
    }
  for (let bin = 0; bin < bins; bin++) counts[bin + 1] = (counts[bin + 1] ?? 0) + (counts[bin] ?? 0);
  const next = counts.slice();
  const byBin = new Float64Array(counts[bins] ?? 0);
  for (const [from, to] of ranges)
    for (let i = from; i < to; i++) {
      const bin = binOf(i);
      if (bin < 0 || bin >= bins) continue;
      const place = next[bin] ?? 0;
      byBin[place] = pressure[i] ?? 0;
      next[bin] = place + 1;
    }
  const visited = Array.from({ length: bins }, (_, bin) => bin).filter(
    (bin) => (counts[bin + 1] ?? 0) > (counts[bin] ?? 0),
  );
  return {
    travel: visited.map((bin) => low + (bin + 0.5) / perTravel),
    pressure: visited.map((bin) => quantile(byBin.subarray(counts[bin], counts[bin + 1]).sort(), 0.5)),
  };
}

/** The line through the middle of a stroke; undefined where it was hardly there. */
export function springLine({ travel, pressure }: Trace, low: number, high: number): Line | undefined {
  const inside = travel.flatMap((at, i) => {
    const share = (at - low) / (high - low);
    return share >= FIT_FROM && share <= FIT_TO ? [i] : [];
  });
  if (inside.length < LEAST_BINS) return undefined;
  return leastSquares(
    inside.map((i) => travel[i] ?? 0),
    inside.map((i) => pressure[i] ?? 0),
  );
}

/** Places beside each other that the width of the loop is the middle of. */
const NEIGHBOURS = 3;
/** A place is tight when the loop there is this many times as wide as elsewhere. */
const TIGHT = 1.3;

/** Where the loop is widest inside of the travel, when it is much wider there: half its width, in pressure. */
export function tightestPlace(
  rising: Trace,
  falling: Trace,
  low: number,
  high: number,
): { travel: number; pressure: number } | undefined {
  const back = new Map(falling.travel.map((travel, i) => [travel, falling.pressure[i] ?? 0]));
  const widths = rising.travel.flatMap((travel, i) => {
    const down = back.get(travel);
    const share = (travel - low) / (high - low);
    if (down === undefined || share < FIT_FROM / 2 || share > 1 - FIT_FROM / 2) return [];
    return [{ travel, pressure: Math.abs((rising.pressure[i] ?? 0) - down) / 2 }];
  });
  if (widths.length < 4 * NEIGHBOURS) return undefined;
  const smooth = widths.map(({ travel }, i) => {
    const near = widths.slice(Math.max(0, i - NEIGHBOURS), i + NEIGHBOURS + 1);
    return {
      travel,
      pressure: quantile(
        near.map(({ pressure }) => pressure).sort((a, b) => a - b),
        0.5,
      ),
    };
  });
  const usual = quantile(
    smooth.map(({ pressure }) => pressure).sort((a, b) => a - b),
    0.5,
  );
  const spread = quantile(
    smooth.map(({ pressure }) => Math.abs(pressure - usual)).sort((a, b) => a - b),
    0.5,
  );
  const worst = smooth.reduce((most, each) => (each.pressure > most.pressure ? each : most));
  return worst.pressure > Math.max(TIGHT * usual, usual + 4 * spread) ? worst : undefined;
}
