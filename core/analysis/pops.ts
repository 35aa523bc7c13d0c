/** One opening of a relief valve in a record of pressure over time, in the record’s own units. */
export interface Pop {
  /** Index of the peak. */
  readonly at: number;
  /** Index of where it shut. */
  readonly shut: number;
  readonly pop: number;
  /** Where it shut: the least pressure after it, before it rose or stood again. */
  readonly reseat: number;
  /** Where the rise slackened before it: what passed then was heard as simmer. Absent where it did not. */
  readonly simmer?: number;
}

/** A valve that opens lets go of at least this share, within so many seconds. */
const [LEAST_DROP, WITHIN_SECONDS] = [0.012, 1];
/** Before it opens again it has been brought up by at least this share: what falls from where it stood is let go by hand. */
const LEAST_RISE = 0.01;
/** Simmer is looked for in this share under the pop; before it, over as much again, the rise is taken as unhindered. */
const [SIMMER_BAND, BEFORE_BAND] = [0.06, 0.04];
/** A rise of less than this share of the unhindered one is simmer. */
const SLACK = 0.72;
/** Seconds over which a rise is taken. */
const SLOPE_SECONDS = 0.5;

/**
 * Pops in a record of pressure: peaks that fall off faster than any pump lets go, each with the pressure where the valve
 * shut, and where it had begun to simmer. Samples in order of time, evenly or not.
 */
export function findPops(seconds: readonly number[], pressures: readonly number[]): Pop[] {
  const pops: Pop[] = [];
  let from = 0;
  while (from < pressures.length) {
    const at = peakAfter(seconds, pressures, from, (pops.at(-1)?.reseat ?? 0) * (1 + LEAST_RISE));
    if (at === undefined) return pops;
    const shut = leastAfter(seconds, pressures, at);
    const simmer = simmerBefore(seconds, pressures, from, at);
    pops.push({
      at,
      shut,
      pop: pressures[at] ?? 0,
      reseat: pressures[shut] ?? 0,
      ...(simmer === undefined ? {} : { simmer }),
    });
    from = shut + 1;
  }
  return pops;
}

/** The next peak above the least that is followed by a fall no pump makes. */
function peakAfter(
  seconds: readonly number[],
  pressures: readonly number[],
  from: number,
  least: number,
): number | undefined {
  for (let i = from; i < pressures.length; i++) {
    const peak = pressures[i] ?? 0;
    if (peak <= least || (pressures[i + 1] ?? Infinity) > peak) continue;
    for (
      let j = i + 1;
      j < pressures.length && (seconds[j] ?? 0) - (seconds[i] ?? 0) <= WITHIN_SECONDS;
      j++
    ) {
      if ((pressures[j] ?? 0) > peak) break;
      if ((pressures[j] ?? 0) < peak * (1 - LEAST_DROP)) return i;
    }
  }
  return undefined;
}

/** It stands where it has fallen by less than this share of the pop within so many seconds. */
const [STILL, STANDS_SECONDS] = [0.003, 1];

/** Where it stopped falling: the least before it comes up by a thousandth again, or stands, or the end. */
function leastAfter(seconds: readonly number[], pressures: readonly number[], at: number): number {
  let least = at;
  let before = at;
  for (let i = at + 1; i < pressures.length; i++) {
    const now = pressures[i] ?? 0;
    const lowest = pressures[least] ?? 0;
    if (now < lowest) least = i;
    else if (now > lowest * 1.003) break;
    while ((seconds[before + 1] ?? Infinity) <= (seconds[i] ?? 0) - STANDS_SECONDS) before++;
    const isLong = (seconds[i] ?? 0) - (seconds[before] ?? 0) >= STANDS_SECONDS;
    // Let go by hand after it had shut, it falls again: that is no longer the valve.
    if (isLong && (pressures[before] ?? 0) - now < STILL * (pressures[at] ?? 0)) break;
  }
  return least;
}

function simmerBefore(
  seconds: readonly number[],
  pressures: readonly number[],
  from: number,
  at: number,
): number | undefined {
  const peak = pressures[at] ?? 0;
  const above = (share: number) => {
    for (let i = from; i <= at; i++) if ((pressures[i] ?? 0) >= share * peak) return i;
    return at;
  };
  const [begins, band] = [above(1 - SIMMER_BAND - BEFORE_BAND), above(1 - SIMMER_BAND)];
  const unhindered = slope(seconds, pressures, begins, band);
  if (!(unhindered > 0)) return undefined;
  for (let i = band; i < at; i++) {
    const end = indexAt(seconds, (seconds[i] ?? 0) + SLOPE_SECONDS, i, at);
    if (end >= at) return undefined;
    if (
      slope(seconds, pressures, i, at) < SLACK * unhindered &&
      slope(seconds, pressures, i, end) < SLACK * unhindered
    )
      return pressures[i];
  }
  return undefined;
}

function indexAt(seconds: readonly number[], wanted: number, from: number, last: number): number {
  let i = from;
  while (i < last && (seconds[i] ?? 0) < wanted) i++;
  return i;
}

function slope(seconds: readonly number[], pressures: readonly number[], a: number, b: number): number {
  const time = (seconds[b] ?? 0) - (seconds[a] ?? 0);
  return time > 0 ? ((pressures[b] ?? 0) - (pressures[a] ?? 0)) / time : NaN;
}
