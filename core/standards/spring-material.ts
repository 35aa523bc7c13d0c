import { COMMON_PRACTICE, type Source } from './source';

/** Shear modulus of spring wire, Mpsi, and the limits on a spring that goes back in. */
export const SPRING_PRACTICE: Source = { ...COMMON_PRACTICE, name: 'Helical spring, k = G d⁴ / 8 D³ n' };

export const SHEAR_MODULUS_MPSI = {
  'carbon steel': 11.5,
  'chrome-vanadium': 11.2,
  'stainless 302': 10,
} as const;
export const SPRING_LENGTHS: Source = { ...COMMON_PRACTICE, name: 'Free length and squareness of springs' };
/** Most out of square as a share of the free length, in a relief valve 1°; most loss of free length. */
export const SPRING_LIMITS = { outOfSquare: 0.03, reliefOutOfSquare: 0.0175, setLoss: 0.02 } as const;
