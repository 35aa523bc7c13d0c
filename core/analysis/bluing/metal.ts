import { quantile } from '../quantile';
import { spreadOf } from './blueness';
import type { Sight } from './sight';
import { INNER, WIDTHS, type Unwrapped } from './unwrap';

/** Off the line there is metal: places to read its colour and its noise. */
const METAL_PLACES: readonly (readonly [number, number])[] = [
  [0.74, 0.86],
  [1.14, 1.26],
];

/** What bare metal is on this seat: its blueness, and the standard deviation of that. */
export interface Metal {
  readonly blueness: number;
  readonly noise: number;
}

export function bareMetal({ samples, step, blue, outside, glare }: Unwrapped): Metal {
  const found: number[] = [];
  for (let ray = 0; ray < WIDTHS; ray += 2)
    for (const [from, to] of METAL_PLACES)
      for (let s = Math.ceil((from - INNER) / step); s < (to - INNER) / step; s += 2) {
        const at = ray * samples + s;
        if (outside[at] === 0 && glare[at] === 0) found.push(blue[at] ?? 0);
      }
  const sorted = Float32Array.from(found).sort();
  return { blueness: quantile(sorted, 0.5), noise: spreadOf(sorted) };
}

/** Standard deviation of what a window shows of bare metal. */
export function noiseOf({ unwrapped: { samples, step, blue, outside }, window }: Sight): number {
  const wide = Math.max(1, Math.round(window / step));
  const found: number[] = [];
  for (let ray = 0; ray < WIDTHS; ray += 3)
    for (const [from, to] of METAL_PLACES)
      for (let s = Math.ceil((from - INNER) / step); s + wide < (to - INNER) / step; s += wide) {
        let [sum, out] = [0, 0];
        for (let k = s; k < s + wide; k++) {
          sum += blue[ray * samples + k] ?? 0;
          out += outside[ray * samples + k] ?? 0;
        }
        if (out === 0) found.push(sum / wide);
      }
  const sorted = Float32Array.from(found).sort();
  return spreadOf(sorted);
}
