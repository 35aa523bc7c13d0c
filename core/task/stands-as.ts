import { si, type Quantity } from '../quantity';

/** Two readings of one thing differ by no more than this when nothing has moved (common practice). */
const SAME: Partial<Record<Quantity['dimension'], number>> = { length: 0.0004, angle: Math.PI / 4, count: 0 };

/** Whether a figure that is taken again stands as it stood: by what two readings of it may differ, else by a twentieth. */
export function standsAs(was: Quantity, now: Quantity): boolean {
  const within = SAME[was.dimension] ?? 0.05 * Math.abs(si(was));
  return Math.abs(si(now) - si(was)) <= within + 1e-9;
}
