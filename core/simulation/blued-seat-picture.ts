import type { Picture } from '../analysis';
import { chance } from './random';

/** A stretch of a circle, degrees clockwise from 12 o'clock. */
interface Stretch {
  readonly from: number;
  readonly degrees: number;
}

/** A photograph of a blued seat as a phone would take it: what is on the metal, and how badly it was taken. */
export interface BluedSeatScene {
  readonly width: number;
  readonly height: number;
  /** Centre and radius of the contact line, as shares of the width. */
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  /** Width of the line, as a share of its radius. */
  readonly line: number;
  /** Breaks in the line. */
  readonly gaps: readonly Stretch[];
  /** How thick the film of blue is: 1 covers the metal, less lets it through. */
  readonly film: number;
  /** Other blue round the same centre, smeared or of a second contact: radius and width as shares of the line's radius. */
  readonly smears: readonly (Stretch & { readonly at: number; readonly line: number })[];
  /** How far the camera looks from the side, degrees; the seat is shorter from top to bottom. */
  readonly tilt: number;
  /** Something blue beside the seat, a glove or a rag: this share of the width, from the left. */
  readonly cloth: number;
  /** How much darker the lower right is than the upper left, 0 to 1. */
  readonly gradient: number;
  /** Standard deviation of each colour, of 255. */
  readonly noise: number;
  /** A reflection; none when undefined. */
  readonly glare?: Stretch;
  readonly seed: number;
}

export const USUAL_SCENE: BluedSeatScene = {
  width: 800,
  height: 600,
  x: 0.5,
  y: 0.375,
  radius: 0.27,
  line: 0.05,
  gaps: [],
  film: 1,
  smears: [],
  tilt: 0,
  cloth: 0,
  gradient: 0.3,
  noise: 8,
  seed: 1,
};

const METAL = [166, 164, 160] as const;
const SHADE = [92, 91, 90] as const;
const BLUE = [42, 66, 168] as const;
const CLOTH = [48, 70, 130] as const;

const isWithin = (angle: number, { from, degrees }: Stretch) =>
  degrees >= 360 || (((angle - from) % 360) + 360) % 360 < degrees;

/** Draws the scene. The line wanders a little in width, as blue does. */
export function photographBluedSeat(scene: BluedSeatScene): Picture {
  const { width, height, noise } = scene;
  const dice = chance(scene.seed);
  const data = new Uint8ClampedArray(4 * width * height);
  const [cx, cy, radius] = [scene.x * width, scene.y * width, scene.radius * width];
  const shortened = Math.cos((scene.tilt * Math.PI) / 180);
  const noises = Float32Array.from({ length: 4096 }, () => dice.normal() * noise);
  const places = [
    { at: 1, reach: Math.max(0.1, (scene.line / 2) * MOST_WANDER) },
    ...scene.smears.map(({ at, line }) => ({ at, reach: line / 2 })),
  ];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [dx, dy] = [x - cx, (y - cy) / shortened];
      const from = Math.sqrt(dx * dx + dy * dy) / radius;
      const angle = places.some((place) => Math.abs(from - place.at) < place.reach)
        ? (Math.atan2(dx, -dy) * 180) / Math.PI
        : undefined;
      const isBright =
        angle !== undefined &&
        Math.abs(from - 1) < 0.1 &&
        scene.glare !== undefined &&
        isWithin(angle, scene.glare);
      const colour = x < scene.cloth * width ? CLOTH : colourAt(scene, from, angle);
      const light = 1 - scene.gradient * ((x / width + y / height) / 2);
      const at = 4 * (y * width + x);
      for (let c = 0; c < 3; c++) {
        const grain = noises[Math.floor(dice.uniform() * 4096)] ?? 0;
        data[at + c] = isBright ? 255 : (colour[c] ?? 0) * light + grain;
      }
      data[at + 3] = 255;
    }
  return { width, height, data };
}

/** How much wider than told the line gets where it wanders. */
const MOST_WANDER = 1.25;

/** The colour at a distance from the middle, as a share of the line's radius, and an angle where any blue may lie. */
function colourAt(scene: BluedSeatScene, from: number, angle: number | undefined): readonly number[] {
  const under = from > 0.8 && from < 1.2 ? METAL : SHADE;
  if (angle === undefined) return under;
  const wander = 1 + 0.15 * Math.sin((angle * Math.PI) / 60) + 0.1 * Math.sin((angle * Math.PI) / 23);
  const isLine =
    Math.abs(from - 1) < (scene.line / 2) * wander && !scene.gaps.some((gap) => isWithin(angle, gap));
  const isSmear = scene.smears.some(
    (smear) => Math.abs(from - smear.at) < smear.line / 2 && isWithin(angle, smear),
  );
  if (!isLine && !isSmear) return under;
  return under.map((metal, c) => metal + scene.film * ((BLUE[c] ?? 0) - metal));
}
