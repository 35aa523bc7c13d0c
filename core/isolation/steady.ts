import { fromSi, seconds, si, type GaugePressure, type PressureDifference, type Time } from '../quantity';

/** One look at a gauge that is being watched. */
export interface Watched {
  /** Since the watching began. */
  readonly after: Time;
  readonly reads: GaugePressure;
}

/** How long a gauge must have stood before it is believed (common practice: some seconds at least). */
export const STEADY_FOR = seconds(5);
/** What counts as standing: a hundredth of the reading, or half a pound where that is less. */
const OF_READING = 0.01;
const LEAST_PASCALS = 3500;
const LEAST_LOOKS = 4;

export type Steadiness =
  | { readonly kind: 'steady' }
  /** Too few looks, or not long enough, to tell. */
  | { readonly kind: 'too soon' }
  /** It still moves; by how much over the time it must stand. */
  | { readonly kind: 'moving'; readonly change: PressureDifference };

/**
 * Whether a watched gauge stands still: over the last seconds the mean of the first half of the looks is that of the
 * second. The mean takes the gauge's own noise out. Looks are in order of time.
 */
export function steadiness(looks: readonly Watched[]): Steadiness {
  const last = looks.at(-1);
  const first = looks[0];
  if (!last || !first || si(last.after) - si(first.after) < si(STEADY_FOR)) return { kind: 'too soon' };
  const since = si(last.after) - si(STEADY_FOR);
  const recent = looks.filter(({ after }) => si(after) >= since - 1e-9);
  if (recent.length < LEAST_LOOKS) return { kind: 'too soon' };
  const middle = recent.length >> 1;
  const [before, now] = [meanOf(recent.slice(0, middle)), meanOf(recent.slice(middle))];
  const change = Math.abs(now - before);
  return change <= Math.max(LEAST_PASCALS, Math.abs(now) * OF_READING)
    ? { kind: 'steady' }
    : { kind: 'moving', change: fromSi('pressure difference', change, 'psi') };
}

const meanOf = (looks: readonly Watched[]): number =>
  looks.reduce((sum, { reads }) => sum + si(reads), 0) / looks.length;
