import { linearFit } from '../linear-fit';
import { quantile } from '../quantile';
import { bareMetal, noiseOf, type Metal } from './metal';
import { sightOf, type Sight } from './sight';
import { alongTheLine, DEGREES_EACH, INNER, OUTER, WIDTHS, type Unwrapped } from './unwrap';

/** Where the line runs on an unwrapped seat, whatever else is blue. Places and widths are shares of the ring's radius. */
export interface LinePath {
  readonly metal: Metal;
  readonly profile: Profile;
  /** Bluer than this is blue. */
  readonly threshold: number;
  /** The seat, averaged along the line until the blue stands out of the noise. */
  readonly sight: Sight;
  /** Angle over which it is averaged, degrees. */
  readonly averaged: number;
  /** The middle of the line as it should be on a ray. */
  readonly centre: (ray: number) => number;
  /** The middle of the line where it was found on that path. */
  readonly found: readonly { readonly ray: number; readonly place: number }[];
}

/** Rays averaged over to each side, tried until the blue stands out of the noise. */
const DULLER = [1, 2, 4, 8];
/** Half of the contrast must be so many standard deviations of the noise. */
const STANDS_OUT = 4.5;
/** How far from the fitted circle the line itself may lie. */
const OFF_CIRCLE = 0.06;

/** Undefined when nothing blue lies near the ring. */
export function pathOf(unwrapped: Unwrapped): LinePath | undefined {
  const { step } = unwrapped;
  const metal = bareMetal(unwrapped);
  const profile = profileOf(alongTheLine(unwrapped, 2), metal.blueness);
  if (!profile) return undefined;
  const window = Math.max(0.6 * profile.width, 2 * step);
  let reach = 0;
  let sight = sightOf(unwrapped, reach, window);
  for (const next of DULLER) {
    if (profile.contrast / 2 >= STANDS_OUT * noiseOf(sight)) break;
    reach = next;
    sight = sightOf(unwrapped, reach, window);
  }
  const threshold = metal.blueness + profile.contrast / 2;
  const averaged = (2 * reach + 1) * DEGREES_EACH;
  return { metal, profile, threshold, sight, averaged, ...centresOf(sight, profile, threshold) };
}

/** The line's cross-section, as the mean of the rays that show it. */
interface Profile {
  readonly centre: number;
  readonly width: number;
  readonly contrast: number;
}

function profileOf(unwrapped: Unwrapped, metal: number): Profile | undefined {
  const { samples, step, blue } = unwrapped;
  const sight = sightOf(unwrapped, 0, Math.max(0.015, 2 * step));
  const bests = Array.from(
    { length: WIDTHS },
    (_, ray) => sight.best(ray, 1 - OFF_CIRCLE, 1 + OFF_CIRCLE).mean,
  );
  // Even a short arc fills this last share of the rays.
  const bluest = quantile(
    [...bests].sort((a, b) => a - b),
    0.97,
  );
  const lit = bests.flatMap((mean, ray) => (mean >= (metal + bluest) / 2 ? [ray] : []));
  if (lit.length === 0 || bluest <= metal) return undefined;
  const mean = Float32Array.from(
    { length: samples },
    (_, s) => lit.reduce((sum, ray) => sum + (blue[ray * samples + s] ?? 0), 0) / lit.length,
  );
  const sampleAt = (place: number) => Math.round((place - INNER) / step);
  let peak = sampleAt(1);
  for (let s = sampleAt(1 - OFF_CIRCLE); s <= sampleAt(1 + OFF_CIRCLE); s++)
    if ((mean[s] ?? 0) > (mean[peak] ?? 0)) peak = s;
  const contrast = (mean[peak] ?? 0) - metal;
  const isBlue = (s: number) => (mean[s] ?? 0) >= metal + contrast / 2;
  let [first, last] = [peak, peak];
  while (first > 0 && isBlue(first - 1)) first -= 1;
  while (last < samples - 1 && isBlue(last + 1)) last += 1;
  return {
    centre: INNER + ((first + last + 1) / 2) * step,
    width: Math.max(2, last - first + 1) * step,
    contrast,
  };
}

/** Where the line should be at each angle: the ring, put right for its centre and size whatever lies beside it. */
function centresOf(sight: Sight, profile: Profile, threshold: number): Pick<LinePath, 'centre' | 'found'> {
  const places = Array.from({ length: WIDTHS }, (_, ray) => ray).flatMap((ray) => {
    const best = sight.best(ray, profile.centre - OFF_CIRCLE, profile.centre + OFF_CIRCLE);
    if (best.mean < threshold) return [];
    const { from, to } = sight.runAt(ray, best.place, threshold);
    return [{ ray, place: (from + to) / 2 }];
  });
  // An arc cannot tell a ring that is off centre from one of another size.
  const size = places.length > WIDTHS / 2 ? 3 : 1;
  const own = new Float64Array(size);
  let fit = [profile.centre];
  const centre = (ray: number) => {
    writeTerms(ray, own);
    return own.reduce((sum, term, i) => sum + term * (fit[i] ?? 0), 0);
  };
  let found = places;
  for (let pass = 0; pass < PASSES; pass++) {
    const off = places.map(({ ray, place }) => Math.abs(place - centre(ray)));
    const sorted = [...off].sort((a, b) => a - b);
    const within = Math.max(0.15 * profile.width, 0.005, OUTLIER * quantile(sorted, 0.5));
    const used = places.filter((_, i) => (off[i] ?? 0) <= within);
    const ys = used.map(({ place }) => place);
    const better = linearFit(used.length, size, ys, (i, terms) => {
      writeTerms(used[i]?.ray ?? 0, terms);
    });
    if (!better) break;
    fit = better;
    found = used;
  }
  return { centre: (ray) => Math.min(OUTER, Math.max(INNER, centre(ray))), found };
}

const PASSES = 5;
/** A place this many times as far off as half of them is not the line's. */
const OUTLIER = 4;

/** A circle of another size, and off centre as well where there are three terms. */
function writeTerms(ray: number, terms: Float64Array): void {
  const angle = (2 * Math.PI * ray) / WIDTHS;
  terms[0] = 1;
  if (terms.length < 3) return;
  terms[1] = Math.cos(angle);
  terms[2] = Math.sin(angle);
}
