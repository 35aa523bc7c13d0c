import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromCsv, toCsv } from './csv';

describe('CSV (RFC 4180)', () => {
  it('comes back as it went out, whatever is in the cells (property)', () => {
    const cell = fc
      .string({ maxLength: 30 })
      .map((text) => text.trim())
      .filter((text) => !/^'[=+\-@\t\r]/.test(text) && !/\r/.test(text));
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 20 }), (rows) => {
        const kept = rows.filter(([a, b]) => a !== '' || b !== '');
        fc.pre(kept.length > 0);
        const read = fromCsv(toCsv(['first', 'second'], kept), ['first', 'second']);
        expect(read.wrong).toEqual([]);
        expect(read.rows.map(({ cells }) => [cells['first'], cells['second']])).toEqual(kept);
      }),
      { seed: 3 },
    );
  });
  it.each(['=SUM(A1)', '+1+1', '-1+1', '@now', '=cmd|x'])(
    '%s is no formula when it is opened elsewhere',
    (text) => {
      const line = toCsv(['a'], [[text]]).split('\r\n')[1] ?? '';
      expect(line.replace(/^"/, '')).toMatch(/^'/);
      expect(fromCsv(toCsv(['a'], [[text]]), ['a']).rows[0]?.cells['a']).toBe(text);
    },
  );
  it.each(['-5', '12', '-0.25'])('%s stays a number', (text) => {
    expect(toCsv(['a'], [[text]])).toContain(`\r\n${text}\r\n`);
  });
  it('semicolons, a byte order mark and headings in capitals are read', () => {
    expect(fromCsv('\uFEFFNumber;Bin\nA-1;B3\n', ['number', 'bin']).rows).toEqual([
      { row: 2, cells: { number: 'A-1', bin: 'B3' } },
    ]);
  });
  it('empty lines are passed over, and rows keep their place', () => {
    expect(fromCsv('a\n1\n2\n', ['a']).rows.map(({ row }) => row)).toEqual([2, 3]);
  });
});
