import { alongTheLine, INNER, type Unwrapped } from './unwrap';

/** The unwrapped seat through a window as wide as most of the line: quick means of a ray anywhere. */
export interface Sight {
  readonly unwrapped: Unwrapped;
  readonly window: number;
  /** The bluest window of a ray with its middle between two places. */
  readonly best: (ray: number, from: number, to: number) => { mean: number; place: number };
  /** From where to where it is blue about a place of a ray. */
  readonly runAt: (ray: number, place: number, threshold: number) => { from: number; to: number };
}

export function sightOf(plain: Unwrapped, reach: number, window: number): Sight {
  const unwrapped = alongTheLine(plain, reach);
  const { samples, step, blue } = unwrapped;
  const wide = Math.max(1, Math.round(window / step));
  const meanFrom = (ray: number, first: number) => {
    let sum = 0;
    for (let s = first; s < first + wide; s++) sum += blue[ray * samples + s] ?? 0;
    return sum / wide;
  };
  const firstAt = (place: number) => Math.round((place - INNER) / step - wide / 2);
  return {
    unwrapped,
    window,
    best: (ray, from, to) => {
      const first = Math.max(0, firstAt(from));
      const last = Math.min(samples - wide, firstAt(to));
      let best = { mean: -Infinity, first };
      let sum = first <= last ? meanFrom(ray, first) * wide : 0;
      for (let s = first; s <= last; s++) {
        if (sum / wide > best.mean) best = { mean: sum / wide, first: s };
        sum += (blue[ray * samples + s + wide] ?? 0) - (blue[ray * samples + s] ?? 0);
      }
      return { mean: best.mean, place: INNER + (best.first + wide / 2) * step };
    },
    runAt: (ray, place, threshold) => {
      const value = (s: number) => blue[ray * samples + s] ?? 0;
      // Noise may lie on one sample of the window: the run begins at the bluest of them.
      const start = firstAt(place);
      let middle = start;
      for (let s = start; s < start + wide; s++) if (value(s) > value(middle)) middle = s;
      let [first, last] = [middle, middle];
      while (first > 0 && Math.max(value(first - 1), value(first - 2)) >= threshold) first -= 1;
      while (last < samples - 1 && Math.max(value(last + 1), value(last + 2)) >= threshold) last += 1;
      return { from: INNER + first * step, to: INNER + (last + 1) * step };
    },
  };
}
