import type { StrokeRecording } from './signature';

/** What of a recording its points are read from. */
export type Ramp = Pick<StrokeRecording, 'signal' | 'travel'>;

/** Travel at a signal, going up and coming down; percent, all of them. */
export interface StrokePoint {
  readonly signal: number;
  readonly up: number;
  readonly down: number;
}

/** The loop of a recording, percent of the signal and of the rated travel, thinned to so many samples. */
export function strokeLoop(
  { signal, travel }: Ramp,
  most: number,
  rated?: number,
): { signal: number[]; travel: number[] } {
  const every = Math.max(1, Math.ceil(travel.length / most));
  const kept = Array.from({ length: Math.ceil(travel.length / every) }, (_, i) => i * every);
  const percent = (value: number) => Math.round(value * 10_000) / 100;
  return {
    signal: kept.map((i) => percent(signal?.[i] ?? 0)),
    travel: kept.map((i) => percent((travel[i] ?? 0) / (rated ?? 1))),
  };
}

/** Samples about a point that are taken together, percent of the signal to either side. */
const ABOUT = 1;

/**
 * The points of a stroke test out of a slow ramp there and back: at each signal what travel was off it, both ways, as the
 * mean of the samples about it. `rated` is the travel in metres where the recording has a length. Says why there are none.
 */
export function strokePoints(
  { signal, travel }: Ramp,
  at: readonly number[],
  rated?: number,
): readonly StrokePoint[] | 'no signal' | 'not all the way' {
  if (!signal) return 'no signal';
  const top = signal.reduce((most, value, i) => (value > (signal[most] ?? -Infinity) ? i : most), 0);
  const offAt = (percent: number, from: number, to: number): number | undefined => {
    let [sum, count] = [0, 0];
    for (let i = from; i <= to; i++) {
      const given = 100 * (signal[i] ?? 0);
      if (Math.abs(given - percent) > ABOUT) continue;
      sum += (100 * (travel[i] ?? 0)) / (rated ?? 1) - given;
      count += 1;
    }
    return count === 0 ? undefined : sum / count;
  };
  const points: StrokePoint[] = [];
  for (const percent of at) {
    const [up, down] = [offAt(percent, 0, top), offAt(percent, top, signal.length - 1)];
    if (up === undefined || down === undefined) return 'not all the way';
    points.push({ signal: percent, up: percent + up, down: percent + down });
  }
  return points;
}
