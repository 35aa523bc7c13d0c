import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asRead, inches, parseQuantity, psig, quantity, thou, valueIn } from '.';

const read = (text: string, dimension: 'length' | 'torque' | 'gauge pressure') => {
  const parsed = parseQuantity(text, dimension);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};

describe('a figure as the hand reads it', () => {
  it.each([
    // π × 1.5 in, the cut length of a ring round its middle (plane geometry).
    ['4.7124 in', '4 23/32 in', '119.5 mm'],
    ['0.5 in', '1/2 in', '12.5 mm'],
    ['3 in', '3 in', '76 mm'],
    ['0 in', '0 in', '0 mm'],
    ['0.999 in', '1 in', '25.5 mm'],
  ])('on a rule %s is %s, or %s', (typed, us, si) => {
    expect(asRead(read(typed, 'length'), 'rule', 'US')).toBe(us);
    expect(asRead(read(typed, 'length'), 'rule', 'SI')).toBe(si);
  });
  it('on a dial in thou, and nothing is nought thou', () => {
    expect(asRead(inches(0.0625), 'dial', 'US')).toBe('62.5 thou');
    expect(asRead(thou(0), 'dial', 'US')).toBe('0 thou');
    expect(asRead(thou(4), 'dial', 'SI')).toBe('0.1 mm');
  });
  it('on a wrench at whole marks', () => {
    expect(asRead(read('52.7 ft-lb', 'torque'), 'wrench', 'US')).toBe('53 lbf·ft');
    expect(asRead(read('9.8 ft-lb', 'torque'), 'wrench', 'US')).toBe('10 lbf·ft');
    expect(asRead(read('52.7 ft-lb', 'torque'), 'wrench', 'SI')).toBe('71 N·m');
  });
  it('on a gauge at whole marks; a least pressure is the next mark up, a most the next one down', () => {
    expect(asRead(psig(551.1), 'gauge', 'US')).toBe('551 psig');
    expect(asRead(psig(551.1), 'gauge', 'US', 'up')).toBe('552 psig');
    expect(asRead(psig(551.9), 'gauge', 'US', 'down')).toBe('551 psig');
    expect(asRead(psig(551), 'gauge', 'US', 'up')).toBe('551 psig');
    expect(asRead(quantity('gauge pressure', 15.86, 'bar g'), 'gauge', 'SI')).toBe('15.9 bar g');
  });
  it('on a rule it is never further off than half a mark, and reads back (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 400, noNaN: true }), (value) => {
        const said = read(asRead(inches(value), 'rule', 'US'), 'length');
        expect(Math.abs(valueIn(said, 'in') - value)).toBeLessThanOrEqual(1 / 64 + 1e-9);
      }),
      { seed: 3 },
    );
  });
});
