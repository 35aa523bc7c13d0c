import { describe, expect, it } from 'vitest';
import { farFromUsual } from './plausible';
import { parseQuantity } from './parse';
import { fromSi, type Quantity } from './quantity';
import { typedUnits } from './typed-units';
import { DIMENSIONS, unitOf } from './units';

const of = (text: string, dimension: 'length' | 'gauge pressure' = 'length'): Quantity => {
  const read = parseQuantity(text, dimension);
  if (!read.ok) throw new Error(text);
  return read.value;
};

describe('units beside a field', () => {
  it('begin with that of the example where it is of the person’s system', () => {
    expect(typedUnits('length', 'US', '3 thou')[0]).toBe('thou');
    expect(typedUnits('length', 'US', '4.5 in')[0]).toBe('in');
    expect(typedUnits('torque', 'US', '90 ft-lb')[0]).toBe('lbf·ft');
    expect(typedUnits('time', 'SI', '2 min')[0]).toBe('min');
  });

  it('are the other system’s for whoever works in that', () => {
    expect(typedUnits('length', 'SI', '3 thou')[0]).toBe('mm');
    expect(typedUnits('gauge pressure', 'US', '16 bar g')[0]).toBe('psig');
    expect(typedUnits('temperature', 'US', '130 °C')[0]).toBe('°F');
  });

  it('are units of their dimension, each once (every dimension, both systems)', () => {
    for (const dimension of DIMENSIONS)
      for (const system of ['US', 'SI'] as const) {
        const units = typedUnits(dimension, system);
        expect(new Set(units).size).toBe(units.length);
        for (const unit of units) expect(unitOf(dimension, unit), `${dimension} ${unit}`).toBeDefined();
      }
  });
});

describe('a figure that is hardly meant', () => {
  it('is one that is ten times what is usual, or an inch that was typed as a millimetre', () => {
    expect(farFromUsual(of('999 in'), of('4.5 in'))).toBeCloseTo(222, 0);
    expect(farFromUsual(of('4.5 mm'), of('4.5 in'))).toBeCloseTo(1 / 25.4, 5);
    expect(farFromUsual(of('45 in'), of('4.5 in'))).toBeCloseTo(10, 6);
  });

  it('is none within that, at zero, or on a scale that begins anywhere', () => {
    expect(farFromUsual(of('40 in'), of('4.5 in'))).toBeUndefined();
    expect(farFromUsual(of('0 psig', 'gauge pressure'), of('60 psig', 'gauge pressure'))).toBeUndefined();
    expect(farFromUsual(fromSi('temperature', 3, 'K'), fromSi('temperature', 300, 'K'))).toBeUndefined();
  });
});
