import { readLine } from '@dusk-wren/core/quantity';
import { describe, expect, it } from 'vitest';
import { linesOf, wrongOfDriver } from './settings';

const DRIVER = 'lines of a caliper';
const taught = { example: '+012.345 mm', shows: 12.345, unit: 'mm' };

describe('a gauge that types or sends its lines', () => {
  it('is taught by one of them, and reads the next', () => {
    expect(wrongOfDriver(DRIVER, 'caliper', taught)).toEqual([]);
    const pattern = linesOf(DRIVER, taught);
    expect(pattern && readLine(pattern, '-000.120 mm')).toEqual({
      dimension: 'length',
      value: -0.12,
      unit: 'mm',
    });
  });
  it.each([
    ['no line yet', {}, /no number in that line/],
    ['another figure on its face', { ...taught, shows: 99 }, /no number in that line/],
    ['zero', { example: '+000.000 mm', shows: 0, unit: 'mm' }, /not zero/],
    ['a unit of another kind', { ...taught, unit: 'N·m' }, /one of mm/],
    ['a line longer than any', { ...taught, example: '1'.repeat(121) }, /120 letters/],
  ])('is refused with %s', (_, settings, why) => {
    expect(wrongOfDriver(DRIVER, 'caliper', settings)).toMatchObject([
      { message: expect.stringMatching(why) },
    ]);
  });
  it('is nothing to an instrument of another kind, nor to one that the server reads', () => {
    expect(wrongOfDriver(DRIVER, 'torque wrench', taught)).toMatchObject([{ path: 'driver' }]);
    expect(linesOf('simulated dial', {})).toBeUndefined();
  });
});
