import type { Levels, Plane } from './blueness';

/** In pixels, from the upper left corner. */
export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

interface Points {
  readonly xs: Float64Array;
  readonly ys: Float64Array;
}

const POINTS_WANTED = 6000;
const TRIES = 400;
const LEAST_POINTS = 60;
/** A dragged circle may be off by this share of its radius. */
const DRAGGED_OFF = 0.2;

/**
 * The circle the blue lies on: the best of some hundred circles through three blue pixels, then least squares over the
 * pixels near it, twice. Undefined when there is too little blue, or it lies on no circle. Repeatable.
 */
export function findRing(picture: Plane, levels: Levels, near?: Circle): Circle | undefined {
  const points = bluePoints(picture, levels, near);
  const count = points.xs.length;
  if (count < LEAST_POINTS) return undefined;
  const largest = Math.max(picture.width, picture.height);
  let best: { circle: Circle; score: number } | undefined;
  const next = repeatable(count);
  for (let i = 0; i < TRIES; i++) {
    const circle = through(points, next(), next(), next());
    if (!circle || circle.radius < largest * 0.03 || circle.radius > largest) continue;
    const score = scoreOf(points, circle, circle.radius * 0.02, 7);
    if (!best || score > best.score) best = { circle, score };
  }
  if (!best) return undefined;
  const rough = fitted(points, best.circle, 0.06) ?? best.circle;
  const circle = fitted(points, rough, 0.04) ?? rough;
  return scoreOf(points, circle, circle.radius * 0.06, 1) > count * LEAST_SHARE_ON_RING ? circle : undefined;
}

/** Of all blue found, at least this share must lie on the ring. */
const LEAST_SHARE_ON_RING = 0.3;

function bluePoints(
  { width, height, blue, glare }: Plane,
  { threshold }: Levels,
  near: Circle | undefined,
): Points {
  const stride = Math.max(1, Math.floor(Math.max(width, height) / 900));
  const [xs, ys]: [number[], number[]] = [[], []];
  for (let y = 0; y < height; y += stride)
    for (let x = 0; x < width; x += stride) {
      const at = y * width + x;
      if ((blue[at] ?? 0) < threshold || glare[at] === 1) continue;
      if (near && Math.abs(Math.hypot(x - near.x, y - near.y) - near.radius) > DRAGGED_OFF * near.radius)
        continue;
      xs.push(x);
      ys.push(y);
    }
  const skip = Math.max(1, Math.ceil(xs.length / POINTS_WANTED));
  const kept = Array.from({ length: Math.floor(xs.length / skip) }, (_, i) => i * skip);
  return {
    xs: Float64Array.from(kept, (i) => xs[i] ?? 0),
    ys: Float64Array.from(kept, (i) => ys[i] ?? 0),
  };
}

/** Indices in a repeatable order (a full-period step, coprime with most counts). */
function repeatable(count: number): () => number {
  let state = 12_345;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 4_294_967_296) * count);
  };
}

function through({ xs, ys }: Points, i: number, j: number, k: number): Circle | undefined {
  const [ax, ay, bx, by, cx, cy] = [xs[i] ?? 0, ys[i] ?? 0, xs[j] ?? 0, ys[j] ?? 0, xs[k] ?? 0, ys[k] ?? 0];
  const d = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by));
  if (Math.abs(d) < 1e-6) return undefined;
  const [a, b, c] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy];
  const x = (a * (by - cy) + b * (cy - ay) + c * (ay - by)) / d;
  const y = (a * (cx - bx) + b * (ax - cx) + c * (bx - ax)) / d;
  return { x, y, radius: Math.hypot(ax - x, ay - y) };
}

/** How many points lie near a circle, every `skip`th looked at. */
function scoreOf({ xs, ys }: Points, { x, y, radius }: Circle, within: number, skip: number): number {
  let near = 0;
  for (let i = 0; i < xs.length; i += skip)
    if (Math.abs(Math.hypot((xs[i] ?? 0) - x, (ys[i] ?? 0) - y) - radius) < within) near += 1;
  return near;
}

/** Least-squares circle (Kåsa) over the points within a share of the radius. */
function fitted({ xs, ys }: Points, near: Circle, share: number): Circle | undefined {
  let [n, sx, sy, sxx, syy, sxy, sxz, syz, sz] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (let i = 0; i < xs.length; i++) {
    const [x, y] = [(xs[i] ?? 0) - near.x, (ys[i] ?? 0) - near.y];
    if (Math.abs(Math.hypot(x, y) - near.radius) > share * near.radius) continue;
    const z = x * x + y * y;
    n += 1;
    sx += x;
    sy += y;
    sxx += x * x;
    syy += y * y;
    sxy += x * y;
    sxz += x * z;
    syz += y * z;
    sz += z;
  }
  if (n < LEAST_POINTS / 2) return undefined;
  const [a, b, c] = [sxx - (sx * sx) / n, sxy - (sx * sy) / n, syy - (sy * sy) / n];
  const [d, e] = [sxz - (sx * sz) / n, syz - (sy * sz) / n];
  const det = a * c - b * b;
  if (Math.abs(det) < 1e-9) return undefined;
  const [x, y] = [(d * c - e * b) / (2 * det), (a * e - b * d) / (2 * det)];
  const radius = Math.sqrt(Math.max(0, (sz - 2 * x * sx - 2 * y * sy) / n + x * x + y * y));
  return { x: x + near.x, y: y + near.y, radius };
}
