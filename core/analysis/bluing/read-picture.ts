import { levelsOf, planeOf, type Levels, type Picture, type Plane } from './blueness';
import { findRing, type Circle } from './find-ring';

/** An arc of the ring, degrees clockwise from 12 o'clock; `to` below `from` runs over the top. */
export interface RingArc {
  readonly from: number;
  readonly to: number;
  readonly degrees: number;
}

export interface BluingPicture {
  readonly circle: Circle;
  /** Width of the blue at each angle, pixels; `WIDTHS` of them clockwise from 12 o'clock, 0 where there is none. */
  readonly widths: Float32Array;
  /** Where metal shows and no blue. */
  readonly gaps: readonly RingArc[];
  /** Where a reflection hides the seat: to be looked at again. */
  readonly hidden: readonly RingArc[];
  /** Share of what can be seen that is blue. */
  readonly continuity: number;
  readonly widthMean: number;
  readonly widthMax: number;
}

/** Angles a ring is read at: every quarter degree. */
export const WIDTHS = 1440;
const DEGREES_EACH = 360 / WIDTHS;
/** The ring is read this far inside and outside of its circle, as a share of the radius. */
const BAND = 0.14;
/** Narrower than this is not a leak path that a picture can show, degrees. */
const LEAST_GAP_DEGREES = 1.5;
/** The line is broken where it is thinner than this share of its usual width. */
const THIN = 0.25;
/** Widths are smoothed by their median over this many angles to each side. */
const SMOOTHED = 3;
/** A run of blue may miss this many samples of noise and still be one run. */
const RUN_GAP = 2;

/**
 * Reads a photograph of a blued seat: finds the ring (near `dragged`, when a person has drawn it), unwraps it and
 * says at each angle how wide the blue is; gaps, glare, continuity. Undefined when no ring of blue is found.
 */
export function readBluingPicture(picture: Picture, dragged?: Circle): BluingPicture | undefined {
  const plane = planeOf(picture);
  const levels = levelsOf(plane);
  const circle = findRing(plane, levels, dragged);
  if (!circle) return undefined;
  const raw = unwrapped(plane, levels, circle);
  const widths = smoothed(raw.widths);
  const seen = Array.from(widths).filter((width, i) => width > 0 && !raw.hidden[i]);
  const usual = [...seen].sort((a, b) => a - b)[Math.floor(seen.length / 2)] ?? 0;
  const bare = Array.from(widths, (width, i) => !raw.hidden[i] && width < THIN * usual);
  const gaps = arcsOf(bare).filter(({ degrees }) => degrees >= LEAST_GAP_DEGREES);
  const hidden = arcsOf(raw.hidden).filter(({ degrees }) => degrees >= LEAST_GAP_DEGREES);
  const total = (arcs: readonly RingArc[]) => arcs.reduce((sum, { degrees }) => sum + degrees, 0);
  const visible = 360 - total(hidden);
  return {
    circle,
    widths,
    gaps: gaps.sort((a, b) => b.degrees - a.degrees),
    hidden,
    continuity: visible <= 0 ? 0 : Math.max(0, (visible - total(gaps)) / visible),
    widthMean: seen.reduce((sum, width) => sum + width, 0) / Math.max(1, seen.length),
    widthMax: seen.reduce((most, width) => Math.max(most, width), 0),
  };
}

function unwrapped(
  plane: Plane,
  levels: Levels,
  circle: Circle,
): { widths: Float32Array; hidden: boolean[] } {
  const widths = new Float32Array(WIDTHS);
  const hidden: boolean[] = [];
  const step = Math.max(0.5, circle.radius / 1200);
  const samples = Math.floor((2 * BAND * circle.radius) / step);
  const row = new Float32Array(samples);
  for (let i = 0; i < WIDTHS; i++) {
    const angle = ((i + 0.5) * DEGREES_EACH * Math.PI) / 180;
    const [dx, dy] = [Math.sin(angle), -Math.cos(angle)];
    let glare = 0;
    for (let s = 0; s < samples; s++) {
      const radius = circle.radius * (1 - BAND) + (s + 0.5) * step;
      const at = pixelAt(plane, circle.x + dx * radius, circle.y + dy * radius);
      if (at >= 0 && plane.glare[at] === 1) glare += 1;
      row[s] = at < 0 ? levels.metal : blurred(plane, at);
    }
    const run = widestRun(row, levels.threshold);
    widths[i] = run * step;
    hidden.push(run === 0 && glare * step > circle.radius * GLARE_SHARE);
  }
  return { widths, hidden };
}

/** Glare over more than this share of the radius hides the line. */
const GLARE_SHARE = 0.02;

const pixelAt = ({ width, height }: Plane, x: number, y: number): number => {
  const [column, row] = [Math.round(x), Math.round(y)];
  return column < 1 || row < 1 || column >= width - 1 || row >= height - 1 ? -1 : row * width + column;
};

/** Blueness over a cross of five pixels, against the noise of one. */
function blurred({ width, blue }: Plane, at: number): number {
  const of = (pixel: number) => blue[pixel] ?? 0;
  return (2 * of(at) + of(at - 1) + of(at + 1) + of(at - width) + of(at + width)) / 6;
}

/** The longest run of samples over the threshold, small interruptions bridged. */
function widestRun(row: Float32Array, threshold: number): number {
  let [best, run, missed] = [0, 0, 0];
  for (const value of row) {
    if (value >= threshold) {
      run += 1 + (run > 0 ? missed : 0);
      missed = 0;
      best = Math.max(best, run);
    } else {
      missed += 1;
      if (missed > RUN_GAP) [run, missed] = [0, 0];
    }
  }
  return best;
}

function smoothed(widths: Float32Array): Float32Array {
  const window = new Float32Array(2 * SMOOTHED + 1);
  return widths.map((_, i) => {
    for (let k = -SMOOTHED; k <= SMOOTHED; k++) window[k + SMOOTHED] = widths[(i + k + WIDTHS) % WIDTHS] ?? 0;
    return window.sort()[SMOOTHED] ?? 0;
  });
}

/** Runs of true round the circle, as arcs; one that runs over 12 o'clock is one arc. */
function arcsOf(flags: readonly boolean[]): RingArc[] {
  const start = flags.indexOf(false);
  if (start < 0) return [{ from: 0, to: 360, degrees: 360 }];
  const arcs: RingArc[] = [];
  let from: number | undefined;
  for (let k = 1; k <= WIDTHS; k++) {
    const i = start + k;
    const flag = flags[i % WIDTHS] ?? false;
    if (flag && from === undefined) from = i;
    if (!flag && from !== undefined) {
      const turned = (place: number) => (place * DEGREES_EACH) % 360;
      arcs.push({ from: turned(from), to: turned(i), degrees: (i - from) * DEGREES_EACH });
      from = undefined;
    }
  }
  return arcs;
}
