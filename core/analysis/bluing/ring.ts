import { linearFit } from '../linear-fit';

/** In pixels, from the upper left corner. */
export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/** What looking from the side makes of a circle: a symmetric matrix that stretches a unit circle to the ellipse. */
interface Shape {
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

/** A circle on the seat as the camera sees it; its radius is the longer half axis. */
export interface SeatRing extends Circle {
  readonly shape: Shape;
}

export interface Points {
  readonly xs: ArrayLike<number>;
  readonly ys: ArrayLike<number>;
}

const ROUND: Shape = { xx: 1, xy: 0, yy: 1 };

export const roundRing = (circle: Circle): SeatRing => ({ ...circle, shape: ROUND });

/** Shorter axis over longer: the cosine of the angle the camera looks from. */
export function flatness({ shape: { xx, xy, yy } }: SeatRing): number {
  const [middle, apart] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  return (middle - apart) / (middle + apart);
}

/** The pixel at an angle clockwise from 12 o'clock on the seat, radians, and a share of the ring's radius. */
export function placeOn(
  { x, y, radius, shape }: SeatRing,
  angle: number,
  share: number,
): { x: number; y: number } {
  const [ux, uy] = [Math.sin(angle) * share * radius, -Math.cos(angle) * share * radius];
  return { x: x + shape.xx * ux + shape.xy * uy, y: y + shape.xy * ux + shape.yy * uy };
}

/** Points seen square on: on the unit circle when they lie on the ring. */
interface SquareOn {
  readonly us: Float64Array;
  readonly vs: Float64Array;
}

/** Those points that lie within a share of the radius from the ring. */
function near(
  { x, y, radius, shape: { xx, xy, yy } }: SeatRing,
  { xs, ys }: Points,
  share: number,
): SquareOn {
  const det = (xx * yy - xy * xy) * radius;
  const [us, vs] = [new Float64Array(xs.length), new Float64Array(xs.length)];
  let count = 0;
  for (let i = 0; i < xs.length; i++) {
    const [dx, dy] = [(xs[i] ?? 0) - x, (ys[i] ?? 0) - y];
    const [u, v] = [(yy * dx - xy * dy) / det, (xx * dy - xy * dx) / det];
    if (Math.abs(Math.sqrt(u * u + v * v) - 1) > share) continue;
    us[count] = u;
    vs[count] = v;
    count += 1;
  }
  return { us: us.subarray(0, count), vs: vs.subarray(0, count) };
}

const LEAST_POINTS = 30;

/** Least-squares circle (distances, Gauss–Newton) over the points within a share of the radius. */
export function fittedCircle(start: Circle, points: Points, share: number): Circle | undefined {
  const { us, vs } = near(roundRing(start), points, share);
  if (us.length < LEAST_POINTS) return undefined;
  let [cu, cv, r] = [0, 0, 1];
  for (let pass = 0; pass < 8; pass++) {
    const off = new Float64Array(us.length);
    const step = linearFit(us.length, 3, off, (i, terms) => {
      const [u, v] = [(us[i] ?? 0) - cu, (vs[i] ?? 0) - cv];
      const distance = Math.hypot(u, v) || 1e-9;
      off[i] = distance - r;
      terms[0] = u / distance;
      terms[1] = v / distance;
      terms[2] = 1;
    });
    if (!step) return undefined;
    const [du = 0, dv = 0, dr = 0] = step;
    [cu, cv, r] = [cu + du, cv + dv, r + dr];
    if (Math.hypot(du, dv, dr) < 1e-6) break;
  }
  const { x, y, radius } = start;
  return r > 0.2 && r < 5 ? { x: x + cu * radius, y: y + cv * radius, radius: r * radius } : undefined;
}

/** Least-squares conic over the points within a share of the radius, when it is an ellipse no flatter than a seat is seen. */
export function fittedEllipse(start: SeatRing, points: Points, share: number): SeatRing | undefined {
  const { us, vs } = near(start, points, share);
  if (us.length < LEAST_POINTS) return undefined;
  const conic = linearFit(us.length, 5, new Float64Array(us.length).fill(1), (i, terms) => {
    const [u, v] = [us[i] ?? 0, vs[i] ?? 0];
    terms[0] = u * u;
    terms[1] = u * v;
    terms[2] = v * v;
    terms[3] = u;
    terms[4] = v;
  });
  if (!conic) return undefined;
  const [a = 0, b = 0, c = 0, d = 0, e = 0] = conic;
  const det = 4 * a * c - b * b;
  if (det <= 1e-9 || a <= 0) return undefined;
  const [u, v] = [(b * e - 2 * c * d) / det, (b * d - 2 * a * e) / det];
  const level = 1 + a * u * u + b * u * v + c * v * v;
  // The squared shape, seen square on: the inverse of the conic's own matrix.
  const [sxx, sxy, syy] = [(4 * c * level) / det, (-2 * b * level) / det, (4 * a * level) / det];
  const { xx, xy, yy } = start.shape;
  const squared = {
    xx: xx * (xx * sxx + xy * sxy) + xy * (xx * sxy + xy * syy),
    xy: xx * (xy * sxx + yy * sxy) + xy * (xy * sxy + yy * syy),
    yy: xy * (xy * sxx + yy * sxy) + yy * (xy * sxy + yy * syy),
  };
  const root = squareRoot(squared);
  const longest = root && (root.xx + root.yy) / 2 + Math.hypot((root.xx - root.yy) / 2, root.xy);
  if (!root || !longest) return undefined;
  const ring: SeatRing = {
    x: start.x + start.radius * (xx * u + xy * v),
    y: start.y + start.radius * (xy * u + yy * v),
    radius: start.radius * longest,
    shape: { xx: root.xx / longest, xy: root.xy / longest, yy: root.yy / longest },
  };
  return flatness(ring) >= FLATTEST ? ring : undefined;
}

/** Flatter than this, a camera is looking from more than 60° and sees the seat's far wall. */
const FLATTEST = 0.5;

/** The symmetric square root of a positive 2 × 2 matrix (Cayley–Hamilton). */
function squareRoot({ xx, xy, yy }: Shape): Shape | undefined {
  const det = xx * yy - xy * xy;
  if (!(det > 0) || xx + yy <= 0) return undefined;
  const s = Math.sqrt(det);
  const t = Math.sqrt(xx + yy + 2 * s);
  return { xx: (xx + s) / t, xy: xy / t, yy: (yy + s) / t };
}
