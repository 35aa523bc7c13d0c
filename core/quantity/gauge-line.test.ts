import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { learnLine, readLine } from './gauge-line';
import { quantity, type Quantity } from './quantity';

const mm = (value: number): Quantity => quantity('length', value, 'mm');

/** Lines as gauges write them (common practice), what their face showed, another line, and what that reads. */
const LINES: readonly (readonly [string, Quantity, string, Quantity])[] = [
  ['12.345', mm(12.345), '-0.010', mm(-0.01)],
  ['+012.345 mm\r\n', mm(12.345), '-000.120 mm\r\n', mm(-0.12)],
  ['01A+00012.34', mm(12.34), '01A-00000.05', mm(-0.05)],
  ['12,345 mm', mm(12.345), '0,120 mm', mm(0.12)],
  ['D1: 0.4855 in', quantity('length', 0.4855, 'in'), 'D1: 1.0000 in', quantity('length', 1, 'in')],
  ['000812345', mm(8123.45), '000000512', mm(5.12)],
  ['- 3.20 mm', mm(-3.2), '  4.00 mm', mm(4)],
  [
    'TQ,0031,  87.8,lbf.ft,OK',
    quantity('torque', 87.8, 'lbf·ft'),
    'TQ,0032,  90.1,lbf.ft,OK',
    quantity('torque', 90.1, 'lbf·ft'),
  ],
];

describe('the lines of a gauge', () => {
  it.each(LINES)('“%s” teaches how “%3$s” reads', (example, shows, line, reads) => {
    const pattern = learnLine(example, shows);
    if (!pattern) throw new Error('it was not learned');
    const read = readLine(pattern, line);
    expect(read).toMatchObject({ dimension: reads.dimension, unit: reads.unit });
    expect(read?.value).toBeCloseTo(reads.value, 9);
    expect(readLine(pattern, example)?.value).toBeCloseTo(shows.value, 9);
  });
  it('in another unit, or of something else, are no readings of it', () => {
    const pattern = learnLine('+012.345 mm', mm(12.345));
    if (!pattern) throw new Error('it was not learned');
    for (const line of ['+00.4860 in', 'LOW BATTERY', '12.3 mm MAX', 'a note about 12 mm', ''])
      expect(readLine(pattern, line), line).toBeUndefined();
  });
  it('teach nothing where no number in them is what the face showed, nor at zero', () => {
    expect(learnLine('+012.345 mm', mm(99))).toBeUndefined();
    expect(learnLine('+000.000 mm', mm(0))).toBeUndefined();
    expect(learnLine('ERROR', mm(3))).toBeUndefined();
  });
  it('read back whatever figure is written as the example was', () => {
    const pattern = learnLine('D+0012.34mm', mm(12.34));
    if (!pattern) throw new Error('it was not learned');
    fc.assert(
      fc.property(fc.integer({ min: -999_999, max: 999_999 }), (hundredths) => {
        const digits = (Math.abs(hundredths) / 100).toFixed(2).padStart(7, '0');
        const line = `D${hundredths < 0 ? '-' : '+'}${digits}mm`;
        expect(readLine(pattern, line)?.value).toBeCloseTo(hundredths / 100, 9);
      }),
    );
  });
});
