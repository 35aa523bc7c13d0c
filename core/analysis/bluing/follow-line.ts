import type { LinePath } from './line-path';
import { INNER, WIDTHS, type Unwrapped } from './unwrap';

/** The line on the unwrapped seat, ray by ray. Places and widths are shares of the ring's radius. */
export interface FollowedLine {
  /** Width of the line at each angle, 0 where there is none. */
  readonly widths: Float32Array;
  /** Where the line is blue at its own radius. */
  readonly contact: readonly boolean[];
  /** Where a reflection or the edge of the picture hides it. */
  readonly hidden: readonly boolean[];
  /** Where something else is blue beside it: a second line, a smear. */
  readonly beside: readonly boolean[];
  /** How far the blue stands out of the metal's noise. */
  readonly clarity: number;
}

/** How far from its path the line may lie, as a share of its width; and at the least. */
const SHIFT = 0.25;
const LEAST_SHIFT = 0.006;
/** Other blue is looked for this far inside and outside. */
const BESIDE = 0.22;

/** Follows the line round the seat at its own radius; undefined when it has no width that can be measured. */
export function followLine(
  unwrapped: Unwrapped,
  { metal, profile, threshold, sight, centre: centreOn }: LinePath,
): FollowedLine | undefined {
  const { width } = profile;
  const shift = Math.max(SHIFT * width, LEAST_SHIFT, 3 * unwrapped.step);
  const off = shift + 0.85 * width;
  const rays = Array.from({ length: WIDTHS }, (_, ray) => {
    const centre = centreOn(ray);
    const best = sight.best(ray, centre - shift, centre + shift);
    const isBlue = best.mean >= threshold;
    const covered = coverOn(unwrapped, ray, centre, shift + width / 2);
    const run = sight.runAt(ray, best.place, threshold);
    return {
      contact: isBlue && covered !== 'outside',
      hidden: covered === 'outside' || (covered === 'glare' && !isBlue),
      beside:
        sight.best(ray, 1 - BESIDE, centre - off).mean >= threshold ||
        sight.best(ray, centre + off, 1 + BESIDE).mean >= threshold,
      width: isBlue ? run.to - run.from : 0,
    };
  });
  if (!rays.some((ray) => ray.width > 0)) return undefined;
  return {
    widths: Float32Array.from(rays, (ray) => ray.width),
    contact: rays.map(({ contact }) => contact),
    hidden: rays.map(({ hidden }) => hidden),
    beside: rays.map(({ beside }) => beside),
    clarity: profile.contrast / Math.max(metal.noise, 1e-4),
  };
}

/** Glare over more than this share of where the line may lie hides it; any of it out of the picture does. */
const GLARE_SHARE = 0.3;

/** What lies over the place of the line, when that keeps it from being seen. */
function coverOn(
  { samples, step, glare, outside }: Unwrapped,
  ray: number,
  centre: number,
  reach: number,
): 'glare' | 'outside' | undefined {
  const [from, to] = [
    Math.max(0, Math.round((centre - reach - INNER) / step)),
    Math.min(samples, Math.round((centre + reach - INNER) / step)),
  ];
  let burnt = 0;
  for (let s = from; s < to; s++) {
    if (outside[ray * samples + s] === 1) return 'outside';
    burnt += glare[ray * samples + s] ?? 0;
  }
  return burnt > GLARE_SHARE * (to - from) ? 'glare' : undefined;
}
