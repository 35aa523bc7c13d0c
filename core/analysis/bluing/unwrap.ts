import type { Plane } from './blueness';
import { placeOn, type SeatRing } from './ring';

/** Angles a ring is read at: every quarter degree. */
export const WIDTHS = 1440;
export const DEGREES_EACH = 360 / WIDTHS;
/** Where a ray begins and ends, as shares of the ring's radius. */
export const [INNER, OUTER] = [0.7, 1.3];

/** The seat cut open and laid flat: for each angle a ray of samples from inside the line to outside of it. */
export interface Unwrapped {
  readonly samples: number;
  /** Between two samples of a ray, as a share of the ring's radius. */
  readonly step: number;
  /** Blueness, ray by ray. */
  readonly blue: Float32Array;
  readonly glare: Uint8Array;
  /** Out of the picture. */
  readonly outside: Uint8Array;
}

export function unwrap(plane: Plane, ring: SeatRing): Unwrapped {
  const step = Math.max(0.5, ring.radius / 700) / ring.radius;
  const samples = Math.floor((OUTER - INNER) / step);
  const size = WIDTHS * samples;
  const [blue, glare, outside] = [new Float32Array(size), new Uint8Array(size), new Uint8Array(size)];
  for (let ray = 0; ray < WIDTHS; ray++) {
    const angle = ((ray + 0.5) * DEGREES_EACH * Math.PI) / 180;
    const rim = placeOn(ring, angle, 1);
    const [dx, dy] = [rim.x - ring.x, rim.y - ring.y];
    for (let s = 0; s < samples; s++) {
      const share = INNER + (s + 0.5) * step;
      const column = Math.round(ring.x + dx * share);
      const row = Math.round(ring.y + dy * share);
      const at = ray * samples + s;
      if (column < 1 || row < 1 || column >= plane.width - 1 || row >= plane.height - 1) outside[at] = 1;
      else {
        const pixel = row * plane.width + column;
        blue[at] = aroundPixel(plane, pixel);
        glare[at] = plane.glare[pixel] ?? 0;
      }
    }
  }
  return { samples, step, blue, glare, outside };
}

/** Blueness over a cross of five pixels, against the noise of one. */
function aroundPixel({ width, blue }: Plane, at: number): number {
  const beside = (blue[at - 1] ?? 0) + (blue[at + 1] ?? 0);
  const aboveAndBelow = (blue[at - width] ?? 0) + (blue[at + width] ?? 0);
  return (2 * (blue[at] ?? 0) + beside + aboveAndBelow) / 6;
}

/** The same, each ray the mean of itself and `reach` rays to each side. */
export function alongTheLine(unwrapped: Unwrapped, reach: number): Unwrapped {
  if (reach === 0) return unwrapped;
  const { samples, blue } = unwrapped;
  const means = new Float32Array(blue.length);
  const row = (ray: number) => ((ray + WIDTHS) % WIDTHS) * samples;
  for (let s = 0; s < samples; s++) {
    let sum = 0;
    for (let ray = -reach; ray <= reach; ray++) sum += blue[row(ray) + s] ?? 0;
    for (let ray = 0; ray < WIDTHS; ray++) {
      means[row(ray) + s] = sum / (2 * reach + 1);
      sum += (blue[row(ray + reach + 1) + s] ?? 0) - (blue[row(ray - reach) + s] ?? 0);
    }
  }
  return { ...unwrapped, blue: means };
}
