/** A repeatable source of chance: the same seed gives the same world. */
export interface Chance {
  /** Uniform, 0 ≤ x < 1. */
  readonly uniform: () => number;
  /** Normal, mean 0, standard deviation 1. */
  readonly normal: () => number;
}

/** Mulberry32 (public domain generator by T. Ettinger) with Box–Muller normals. */
export function chance(seed: number): Chance {
  let state = seed >>> 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}

/** A seed from a text: FNV-1a, 32 bit. */
export function seedFrom(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return hash;
}
