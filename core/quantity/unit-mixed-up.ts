import { valueIn, type Quantity } from './quantity';
import { unitNames } from './units';

/** How near two figures are that are the same, read off two faces. */
const NEAR = 0.015;
const isNear = (a: number, b: number): boolean => Math.abs(a - b) <= NEAR * Math.abs(b);

/**
 * The unit that a figure is in, where it was taken to be in another: `shown` is what it was read as, `expected` what it
 * should be. Nothing where they agree, where no unit explains it, or where two do.
 */
export function unitMixedUp(shown: Quantity, expected: Quantity): string | undefined {
  if (shown.dimension !== expected.dimension || isNear(shown.value, valueIn(expected, shown.unit)))
    return undefined;
  const fits = unitNames(shown.dimension).filter((unit) => isNear(shown.value, valueIn(expected, unit)));
  return fits.length === 1 ? fits[0] : undefined;
}
