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

/** What metal and blue look like in this picture. */
export interface Levels {
  readonly metal: number;
  /** Half way from the metal to the blue: more is blue. */
  readonly threshold: number;
}

/** The blue is a small share of a picture: this quantile of it is blue when there is any. */
const BLUE_QUANTILE = 0.998;
const LEAST_CONTRAST = 0.07;
/** How far above the usual metal its own noise reaches, in median deviations. */
const NOISE_DEVIATIONS = 5;

/** Reads the levels from a sample of the pixels. */
export function levelsOf({ width, height, blue, glare }: Plane, wanted = 60_000): Levels {
  const stride = Math.max(1, Math.floor(Math.sqrt((width * height) / wanted)));
  const found: number[] = [];
  for (let y = 0; y < height; y += stride)
    for (let x = (y / stride) % 2 === 0 ? 0 : stride >> 1; x < width; x += stride) {
      const at = y * width + x;
      if (glare[at] === 0) found.push(blue[at] ?? 0);
    }
  const sample = Float32Array.from(found).sort();
  const quantile = (share: number) =>
    sample[Math.min(sample.length - 1, Math.floor(share * sample.length))] ?? 0;
  const metal = quantile(0.5);
  const deviation = quantile(0.5) - quantile(0.25);
  const blueLevel = quantile(BLUE_QUANTILE);
  return {
    metal,
    threshold: Math.max(
      metal + LEAST_CONTRAST,
      metal + NOISE_DEVIATIONS * deviation,
      (metal + blueLevel) / 2,
    ),
  };
}
