import { quantile } from '../quantile';

/** A picture as a canvas gives it: RGBA, row by row. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/**
 * How blue a pixel is whatever the light on it: blue over the mean of red and green, as a share of the brightness.
 * Bare metal is near 0, spotting blue 0.2 to 0.5.
 */
function blueness(data: Uint8ClampedArray, at: number): number {
  const red = data[at] ?? 0;
  const green = data[at + 1] ?? 0;
  const blue = data[at + 2] ?? 0;
  return (blue - (red + green) / 2) / (red + green + blue + DARK);
}

/** Added to the brightness, so that the noise of a dark pixel has no colour. */
const DARK = 40;

/** Burnt out by a reflection: nothing can be said of what lies under it. */
function isGlare(data: Uint8ClampedArray, at: number): boolean {
  return (data[at] ?? 0) > GLARE && (data[at + 1] ?? 0) > GLARE && (data[at + 2] ?? 0) > GLARE;
}

const GLARE = 244;

/** A picture as it is read: how blue each pixel is, and which are burnt out. */
export interface Plane {
  readonly width: number;
  readonly height: number;
  readonly blue: Float32Array;
  readonly glare: Uint8Array;
}

export function planeOf({ width, height, data }: Picture): Plane {
  const blue = new Float32Array(width * height);
  const glare = new Uint8Array(width * height);
  for (let i = 0; i < blue.length; i++) {
    blue[i] = blueness(data, 4 * i);
    if (isGlare(data, 4 * i)) glare[i] = 1;
  }
  return { width, height, blue, glare };
}

/** The same picture `times` smaller, each pixel the mean of a square: quicker to look over, and with less noise. */
export function smaller(plane: Plane, times: number): Plane {
  if (times <= 1) return plane;
  const [width, height] = [Math.floor(plane.width / times), Math.floor(plane.height / times)];
  const blue = new Float32Array(width * height);
  const glare = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [sum, burnt] = [0, 0];
      for (let dy = 0; dy < times; dy++) {
        const row = (y * times + dy) * plane.width + x * times;
        for (let at = row; at < row + times; at++) {
          sum += plane.blue[at] ?? 0;
          burnt += plane.glare[at] ?? 0;
        }
      }
      blue[y * width + x] = sum / (times * times);
      glare[y * width + x] = 2 * burnt > times * times ? 1 : 0;
    }
  return { width, height, blue, glare };
}

/** Means over squares of `2 · reach + 1` pixels, in time that does not grow with the square. */
export function boxMeans(
  values: ArrayLike<number>,
  width: number,
  height: number,
  reach: number,
): Float32Array {
  const rows = new Float32Array(width * height);
  for (let y = 0; y < height; y++) runningMeans(values, rows, y * width, 1, width, reach);
  const means = new Float32Array(width * height);
  for (let x = 0; x < width; x++) runningMeans(rows, means, x, width, height, reach);
  return means;
}

/** Means of a row or a column, shorter at its ends: from `start`, every `stride`th value. */
function runningMeans(
  from: ArrayLike<number>,
  to: Float32Array,
  start: number,
  stride: number,
  count: number,
  reach: number,
): void {
  let sum = 0;
  for (let i = 0; i < Math.min(reach, count); i++) sum += from[start + i * stride] ?? 0;
  for (let i = 0; i < count; i++) {
    if (i + reach < count) sum += from[start + (i + reach) * stride] ?? 0;
    if (i - reach - 1 >= 0) sum -= from[start + (i - reach - 1) * stride] ?? 0;
    to[start + i * stride] = sum / (Math.min(count, i + reach + 1) - Math.max(0, i - reach));
  }
}

/** What bare metal looks like in a picture: its blueness, how far its own noise reaches, and the bluest there is. */
export interface Levels {
  readonly metal: number;
  readonly noise: number;
  readonly bluest: number;
}

/** The blue is a small share of a picture: this quantile of it is blue when there is any. */
const BLUE_QUANTILE = 0.998;
/** Reads the levels from a sample of the pixels. */
export function levelsOf({ width, height, blue, glare }: Plane, wanted = 15_000): Levels {
  const stride = Math.max(1, Math.floor(Math.sqrt((width * height) / wanted)));
  const found: number[] = [];
  for (let y = 0; y < height; y += stride)
    for (let x = (y / stride) % 2 === 0 ? 0 : stride >> 1; x < width; x += stride) {
      const at = y * width + x;
      if (glare[at] === 0) found.push(blue[at] ?? 0);
    }
  const sample = Float32Array.from(found).sort();
  return {
    metal: quantile(sample, 0.5),
    noise: spreadOf(sample),
    bluest: quantile(sample, BLUE_QUANTILE),
  };
}

/** The lower quartile lies this many standard deviations under the middle (normal distribution). */
const QUARTILE = 0.6745;

/** Standard deviation of values in order, by their lower half: what is blue is in the upper one. */
export const spreadOf = (sorted: ArrayLike<number>): number =>
  (quantile(sorted, 0.5) - quantile(sorted, 0.25)) / QUARTILE;
