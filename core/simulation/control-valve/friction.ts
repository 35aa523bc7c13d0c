/** Dry friction that holds until it is broken, newtons and metres per second. */
export interface Friction {
  /** What it takes to keep it moving, and to start it from rest. */
  readonly sliding: number;
  readonly breakaway: number;
  /** In proportion to speed, N·s/m. */
  readonly viscous: number;
}

/** Slower than this it stands. */
const STANDS = 2e-5;
/** Speed over which breakaway fades to sliding friction (Stribeck). */
const FADES_OVER = 2e-3;

/**
 * The friction on a stem that moves at `speed` with `force` on it (Karnopp's model: at rest it takes up whatever is below
 * breakaway). Undefined where it stands.
 */
export function frictionOn(
  { sliding, breakaway, viscous }: Friction,
  speed: number,
  force: number,
): number | undefined {
  const moves = Math.abs(speed) > STANDS;
  if (!moves && Math.abs(force) <= breakaway) return undefined;
  const way = Math.sign(moves ? speed : force);
  const dry = sliding + (breakaway - sliding) * Math.exp(-Math.abs(speed) / FADES_OVER);
  return way * dry + viscous * speed;
}
