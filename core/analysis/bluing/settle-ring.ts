import type { Plane } from './blueness';
import { pathOf, type LinePath } from './line-path';
import { fittedCircle, fittedEllipse, placeOn, type SeatRing } from './ring';
import { DEGREES_EACH, unwrap, WIDTHS, type Unwrapped } from './unwrap';

/** A ring with the line that lies on it. */
export interface SettledRing {
  readonly ring: SeatRing;
  readonly unwrapped: Unwrapped;
  readonly path: LinePath;
}

const ROUNDS = 2;
/** The line lies within this of its ring, as a share of the radius. */
const NEAR = 0.1;
/** Five numbers are not read off less of a ring than this share of it, nor three off less than that. */
const [FOR_ELLIPSE, FOR_CIRCLE] = [0.55, 0.2];

/**
 * The ring moved onto the middle of its own line, as far as that can be seen: what lies beside the line had a part in
 * finding the ring and has none in this. Undefined when nothing blue lies near it.
 */
export function settled(plane: Plane, start: SeatRing): SettledRing | undefined {
  let ring = start;
  for (let round = 0; ; round++) {
    const unwrapped = unwrap(plane, ring);
    const path = pathOf(unwrapped);
    if (!path) return undefined;
    const moved = round < ROUNDS ? movedOnto(ring, path) : undefined;
    if (!moved || isThere(moved, ring)) return { ring, unwrapped, path };
    ring = moved;
  }
}

/** Nearer than this, pixels, a ring has settled. */
const SETTLED = 0.25;

const isThere = (a: SeatRing, b: SeatRing): boolean =>
  Math.hypot(a.x - b.x, a.y - b.y) < SETTLED && Math.abs(a.radius - b.radius) < SETTLED;

function movedOnto(ring: SeatRing, { found }: LinePath): SeatRing | undefined {
  const places = found.map(({ ray, place }) =>
    placeOn(ring, ((ray + 0.5) * DEGREES_EACH * Math.PI) / 180, place),
  );
  const points = { xs: places.map(({ x }) => x), ys: places.map(({ y }) => y) };
  const share = found.length / WIDTHS;
  if (share >= FOR_ELLIPSE) return fittedEllipse(ring, points, NEAR);
  const circle = share >= FOR_CIRCLE ? fittedCircle(ring, points, NEAR) : undefined;
  return circle && { ...circle, shape: ring.shape };
}
