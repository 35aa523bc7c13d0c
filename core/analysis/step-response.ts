import type { Moving } from './standing';

/** How travel answers a step of its signal; seconds from the step, and percent of the travel finally made. */
export interface StepResponse {
  /** Until it first moves. */
  readonly deadTime: number;
  /** To 63.2 % and 86.5 % of the travel finally made, dead time in them. */
  readonly t63: number;
  readonly t86: number;
  readonly overshoot: number;
}

/** Moved: more than three times the noise of the reading, and never less than this, percent. */
const LEAST_MOVED = 0.1;
const [T63, T86] = [0.632, 0.865];

/**
 * The answer to a step at `at`, out of travel read over time until it stands (names as in ANSI/ISA-75.25.01, from memory).
 * Undefined where it never moved. `noise` is that of a single reading.
 */
export function stepResponse(samples: readonly Moving[], at: number, noise = 0.03): StepResponse | undefined {
  const before = samples.filter(({ seconds }) => seconds <= at);
  const after = samples.filter(({ seconds }) => seconds > at);
  const [from, to] = [mean(before.slice(-LAST)), mean(after.slice(-LAST))];
  const moved = Math.max(LEAST_MOVED, 3 * noise);
  if (from === undefined || to === undefined || Math.abs(to - from) < moved) return undefined;
  const way = Math.sign(to - from);
  const share = ({ value }: Moving) => (value - from) / (to - from);
  const whenAt = (wanted: number): number => {
    const i = after.findIndex((sample) => share(sample) >= wanted);
    const [now, last] = [after[i], after[i - 1] ?? { seconds: at, value: from }];
    if (!now) return Number.NaN;
    const part = (wanted - share(last)) / (share(now) - share(last));
    return last.seconds + part * (now.seconds - last.seconds) - at;
  };
  const furthest = Math.max(...after.map((sample) => way * (sample.value - to)));
  return {
    deadTime: whenAt(moved / Math.abs(to - from)),
    t63: whenAt(T63),
    t86: whenAt(T86),
    overshoot: Math.max(0, furthest <= moved ? 0 : (100 * furthest) / Math.abs(to - from)),
  };
}
/** So many readings say where it stands. */
const LAST = 8;
const mean = (samples: readonly Moving[]): number | undefined =>
  samples.length === 0 ? undefined : samples.reduce((sum, { value }) => sum + value, 0) / samples.length;
