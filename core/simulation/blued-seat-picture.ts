import type { Picture } from '../analysis';
import { chance } from './random';

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
  /** Breaks in the line, degrees clockwise from 12 o'clock. */
  readonly gaps: readonly { readonly from: number; readonly degrees: number }[];
  /** How much darker the lower right is than the upper left, 0 to 1. */
  readonly gradient: number;
  /** Standard deviation of each colour, of 255. */
  readonly noise: number;
  /** A reflection: angle, degrees wide; none when undefined. */
  readonly glare?: { readonly from: number; readonly degrees: number };
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
  gradient: 0.3,
  noise: 8,
  seed: 1,
};

const METAL = [166, 164, 160] as const;
const SHADE = [92, 91, 90] as const;
const BLUE = [42, 66, 168] as const;

/** Draws the scene. The line wanders a little in width, as blue does. */
export function photographBluedSeat(scene: BluedSeatScene): Picture {
  const { width, height, line, noise } = scene;
  const dice = chance(scene.seed);
  const data = new Uint8ClampedArray(4 * width * height);
  const [cx, cy, radius] = [scene.x * width, scene.y * width, scene.radius * width];
  const inArc = (angle: number, arc: { from: number; degrees: number }) =>
    (angle - arc.from + 720) % 360 < arc.degrees;
  const noises = Float32Array.from({ length: 4096 }, () => dice.normal() * noise);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [dx, dy] = [x - cx, y - cy];
      const from = Math.hypot(dx, dy) / radius;
      const onSeat = from > 0.8 && from < 1.2;
      const angle = (Math.atan2(dx, -dy) * 180) / Math.PI;
      const wander = 1 + 0.15 * Math.sin((angle * Math.PI) / 60) + 0.1 * Math.sin((angle * Math.PI) / 23);
      const isBlue = Math.abs(from - 1) < (line / 2) * wander && !scene.gaps.some((gap) => inArc(angle, gap));
      const isBright =
        onSeat && Math.abs(from - 1) < 0.1 && scene.glare !== undefined && inArc(angle, scene.glare);
      const colour = isBlue ? BLUE : onSeat ? METAL : SHADE;
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
