import { boxMeans, levelsOf, smaller, type Levels, type Plane } from './blueness';
import { fittedCircle, fittedEllipse, roundRing, type Circle, type Points, type SeatRing } from './ring';

/** Rings are looked for in a picture of about this size, pixels. */
const LOOKED_AT = 600;
/** What is blue, tried from the sharpest sight to the dullest: squares averaged over, pixels to each side. */
const REACHES = [1, 2, 4];
/** How far above the metal's noise a pixel is surely blue, standard deviations; and at the least. */
const NOISE_DEVIATIONS = 4.5;
const LEAST_CONTRAST = 0.035;
/** A ring seen on this share of the circle is not looked for any duller. */
const WELL_SEEN = 0.7;
/** Less of a circle than this is not a ring. */
const LEAST_SEEN = 0.08;
/** A duller sight must show this much more of the ring to be preferred. */
const WORTH_DULLER = 0.1;

/**
 * The ring the blue lies on, near a circle drawn by hand when there is one: the best of many circles through three
 * blue pixels, judged by how much of the circle is blue with metal on both sides, then fitted, as an ellipse where
 * enough of it is seen. Undefined when there is no such ring. Repeatable.
 */
export function findRing(picture: Plane, dragged?: Circle): RingFound | undefined {
  const times = Math.max(1, Math.floor(Math.max(picture.width, picture.height) / LOOKED_AT));
  const small = smaller(picture, times);
  const near = dragged && scaled(roundRing(dragged), 1 / times);
  let best: (Found & { readonly others: number }) | undefined;
  for (const mask of masksOf(small)) {
    const found = bestRing(mask, near);
    if (found && found.seen > (best ? best.seen + WORTH_DULLER : LEAST_SEEN)) best = found;
    if (best && best.seen >= WELL_SEEN) break;
  }
  return best && { ring: scaled(best.ring, times), others: best.others };
}

/** The ring that is read, and how many others there are that it might have been. */
interface RingFound {
  readonly ring: SeatRing;
  readonly others: number;
}

interface Found {
  readonly ring: SeatRing;
  /** Share of the circle that is blue with metal on both sides. */
  readonly seen: number;
}

/** Which pixels are blue. */
interface Mask {
  readonly width: number;
  readonly height: number;
  readonly blue: Uint8Array;
}

function* masksOf(plane: Plane): Generator<Mask> {
  const { width, height } = plane;
  for (const reach of REACHES) {
    const blurred: Plane = { ...plane, blue: boxMeans(plane.blue, width, height, reach) };
    const levels = levelsOf(blurred);
    for (const threshold of thresholdsOf(levels)) {
      const blue = new Uint8Array(width * height);
      for (let i = 0; i < blue.length; i++)
        if (plane.glare[i] === 0 && (blurred.blue[i] ?? 0) >= threshold) blue[i] = 1;
      yield { width, height, blue };
    }
  }
}

/** Half way to the bluest there is, then what is surely above the noise: a rag may be bluer than the film. */
function thresholdsOf({ metal, noise, bluest }: Levels): number[] {
  const sure = metal + Math.max(LEAST_CONTRAST, NOISE_DEVIATIONS * noise);
  const half = (metal + bluest) / 2;
  return half > sure ? [half, sure] : [sure];
}

const POINTS_WANTED = 4000;
const LEAST_POINTS = 40;
const TRIES = 800;
/** So many of the best circles are fitted. */
const FITTED = 4;
/** A dragged circle may be off by this share of its radius. */
const DRAGGED_OFF = 0.2;
/** Circles whose centres and radii are nearer than this share of the radius are one ring. */
const SAME_RING = 0.12;
/** A first look takes every ninth of the bins. */
const GLANCE = 9;
/** Radii of a ring, as shares of the picture's longer side. */
const [SMALLEST, LARGEST] = [0.03, 1];

function bestRing(mask: Mask, near: Circle | undefined): (Found & { readonly others: number }) | undefined {
  const points = linePoints(mask, near);
  const count = points.xs.length;
  if (count < LEAST_POINTS) return undefined;
  const longest = Math.max(mask.width, mask.height);
  const next = repeatable(count);
  let candidates: Found[] = [];
  for (let i = 0; i < TRIES; i++) {
    const circle = through(points, next(), next(), next());
    if (!circle || circle.radius < longest * SMALLEST || circle.radius > longest * LARGEST) continue;
    if (near && !isLike(circle, near, DRAGGED_OFF)) continue;
    const ring = roundRing(circle);
    const worst = candidates.length < FITTED ? LEAST_SEEN : (candidates.at(-1)?.seen ?? 0);
    if (seenOf(mask, ring, ROUGHLY, GLANCE) < worst / 2) continue;
    const found = { ring, seen: seenOf(mask, ring, ROUGHLY) };
    const rival = candidates.find((each) => isLike(each.ring, circle, SAME_RING));
    if (found.seen <= (rival?.seen ?? worst)) continue;
    candidates = [...candidates.filter((each) => each !== rival), found]
      .sort((a, b) => b.seen - a.seen)
      .slice(0, FITTED);
  }
  const rings = candidates.map(({ ring }) => fitted(mask, points, ring)).sort((a, b) => b.seen - a.seen);
  const [best] = rings;
  const others = rings.filter(
    ({ ring, seen }) => best && seen > best.seen * AS_GOOD && !isLike(ring, best.ring, SAME_RING),
  );
  return best && { ...best, others: near ? 0 : others.length };
}

/** Another ring seen on this share of what the best shows might be the one that is meant. */
const AS_GOOD = 0.6;

const isLike = (a: Circle, b: Circle, share: number) =>
  Math.hypot(a.x - b.x, a.y - b.y) < share * b.radius && Math.abs(a.radius - b.radius) < share * b.radius;

/** The ring fitted closer and closer to the blue about it; an ellipse where it shows as much of the blue as a circle. */
function fitted(mask: Mask, points: Points, start: SeatRing): Found {
  const judged = (ring: SeatRing): Found => ({ ring, seen: seenOf(mask, ring, CLOSELY) });
  const circle = [0.08, 0.05, 0.04].reduce<Circle>(
    (ring, share) => fittedCircle(ring, points, share) ?? ring,
    start,
  );
  const round = judged(roundRing(circle));
  const ellipse = [0.2, 0.12, 0.08, 0.05, 0.04].reduce<SeatRing>(
    (ring, share) => fittedEllipse(ring, points, share) ?? ring,
    round.ring,
  );
  const slanted = judged(ellipse);
  return slanted.seen >= ENOUGH_FOR_ELLIPSE && slanted.seen >= round.seen - 0.01 ? slanted : round;
}

/** Five numbers are not read off less of a ring than this. */
const ENOUGH_FOR_ELLIPSE = 0.55;

const BINS = 180;
const SINES = Float64Array.from({ length: BINS }, (_, i) => Math.sin((2 * Math.PI * i) / BINS));
const COSINES = Float64Array.from({ length: BINS }, (_, i) => Math.cos((2 * Math.PI * i) / BINS));
/** Where the line may lie, and where metal must be, as shares of the radius. */
const ROUGHLY = [1, 0.985, 1.015, 0.97, 1.03];
const CLOSELY = [1, 0.985, 1.015];
const INSIDE = [0.72, 0.78, 0.84];
const OUTSIDE = [1.28, 1.22, 1.16];

/**
 * Share of the circle that is blue with metal on both sides: a rag is blue all over, a seat is not. Looked at in every
 * `stride`th of the bins.
 */
function seenOf(mask: Mask, ring: SeatRing, line: readonly number[], stride = 1): number {
  const { xx, xy, yy } = ring.shape;
  let seen = 0;
  for (let bin = 0; bin < BINS; bin += stride) {
    const [u, v] = [(SINES[bin] ?? 0) * ring.radius, -(COSINES[bin] ?? 0) * ring.radius];
    const [dx, dy] = [xx * u + xy * v, xy * u + yy * v];
    if (
      hasAny(mask, 1, ring, dx, dy, line) &&
      hasAny(mask, 0, ring, dx, dy, INSIDE) &&
      hasAny(mask, 0, ring, dx, dy, OUTSIDE)
    )
      seen += 1;
  }
  return (seen * stride) / BINS;
}

/** Whether any of the places on a ray is blue, or is not; out of the picture nothing is. */
function hasAny(
  { width, height, blue }: Mask,
  wanted: 0 | 1,
  centre: Circle,
  dx: number,
  dy: number,
  shares: readonly number[],
): boolean {
  for (const share of shares) {
    const column = Math.round(centre.x + dx * share);
    const row = Math.round(centre.y + dy * share);
    const isInside = column >= 0 && row >= 0 && column < width && row < height;
    if ((isInside ? blue[row * width + column] : 0) === wanted) return true;
  }
  return false;
}

/** A line fills less than this of a square about as wide as the widest line; a rag fills more. */
const FILLED = 0.7;
const WIDEST_LINE = 0.15;

/** Blue pixels that may lie on a line. */
function linePoints(mask: Mask, near: Circle | undefined): Points {
  const { width, height, blue } = mask;
  const fill = boxMeans(blue, width, height, Math.ceil((Math.max(width, height) * WIDEST_LINE) / 2));
  const [xs, ys]: [number[], number[]] = [[], []];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      if (blue[at] === 0 || (fill[at] ?? 0) > FILLED) continue;
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

const scaled = (ring: SeatRing, times: number): SeatRing => ({
  ...ring,
  // A pixel's own middle is half a pixel in.
  x: (ring.x + 0.5) * times - 0.5,
  y: (ring.y + 0.5) * times - 0.5,
  radius: ring.radius * times,
});

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
