import { describe, expect, it } from 'vitest';
import { quantity } from './quantity';
import { unitMixedUp } from './unit-mixed-up';

const bar = (value: number) => quantity('gauge pressure', value, 'bar g');
const psi = (value: number) => quantity('gauge pressure', value, 'psig');

describe('a figure in another unit than it is taken for', () => {
  // SI brochure, and NIST SP 811: 1 bar = 100 kPa = 14.5038 psi.
  it('is known by the ratio of the two', () => {
    expect(unitMixedUp(bar(14.5), bar(1))).toBe('psig');
    expect(unitMixedUp(psi(1), psi(14.5))).toBe('bar g');
    expect(unitMixedUp(bar(600), bar(6))).toBe('kPa g');
    expect(unitMixedUp(quantity('temperature', 68, '°C'), quantity('temperature', 20, '°C'))).toBe('°F');
  });
  it('is not looked for where both agree, within what two faces differ by', () => {
    expect(unitMixedUp(bar(6.05), bar(6))).toBeUndefined();
  });
  it('is not guessed where no unit explains it', () => {
    expect(unitMixedUp(bar(9), bar(6))).toBeUndefined();
    expect(unitMixedUp(bar(0), bar(6))).toBeUndefined();
  });
  it('is not guessed where two explain it: a bar and a kilogram on a square centimetre', () => {
    expect(unitMixedUp(psi(1.01), psi(14.5))).toBeUndefined();
    expect(unitMixedUp(quantity('gauge pressure', 1, 'psig'), bar(1))).toBe('bar g');
  });
});
