/** A signal on its way up to its whole range and down again, evenly. */
export interface Sweep {
  /** When it began, on the clock of its reading, and how long it takes, seconds. */
  readonly from: number;
  readonly seconds: number;
}

/** Where a sweep stands, as a share of the range; 0 once it is over. */
export function sweptTo({ from, seconds }: Sweep, now: number): number {
  const share = (now - from) / seconds;
  return Math.max(0, share < 0.5 ? 2 * share : 2 - 2 * share);
}
