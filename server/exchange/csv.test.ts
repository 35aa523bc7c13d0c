import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromCsv, toCsv } from './csv';

describe('CSV (RFC 4180)', () => {
  it('comes back as it went out, whatever is in the cells (property)', () => {
    const cell = fc
      .string({ maxLength: 30 })
      .map((text) => text.trim())
      .filter((text) => !/[\r\u0000]/.test(text));
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
  it.each([
    ["a;=cmd|'/C calc'!A0", 'where a semicolon ends a cell'],
    ['x\t=1+1', 'behind a tab'],
    ['two lines\n=1+1', 'on a second line'],
    ['\u0000=1+1', 'behind a letter no eye sees'],
    ['\u200B=1+1', 'behind a space of no width'],
    ['\uFEFF@now', 'behind a mark of byte order'],
    ['  =1+1', 'behind spaces'],
    ["'=1+1", 'that was led by an apostrophe already'],
    ['a,;"=1', 'behind a quotation mark'],
  ])('%j is none either: %s', (text) => {
    const written = toCsv(['a'], [[text]]);
    expect(written).not.toMatch(/(^|[;,|\t\r\n"])[\s\u0000\u200B\uFEFF"]*[=+@]/m);
    const back = fromCsv(written, ['a']).rows[0]?.cells['a'];
    if (!text.includes('\u0000')) expect(back).toBe(text.trim());
  });
  it.each(['-5', '12', '-0.25'])('%s stays a number', (text) => {
    expect(toCsv(['a'], [[text]])).toContain(`\r\n${text}\r\n`);
  });
  it('semicolons, a byte order mark and headings in capitals are read', () => {
    expect(fromCsv('\uFEFFNumber;Bin\nA-1;B3\n', ['number', 'bin']).rows).toEqual([
      { row: 2, cells: { number: 'A-1', bin: 'B3' } },
    ]);
  });
  it('a quotation mark that does not close stops the file: rows would run into each other', () => {
    const file = fromCsv('number,bin\nA-1,B1\nA-2,"B2\nA-3,B3\nA-4,B4\n', ['number', 'bin']);
    expect(file.rows).toEqual([]);
    expect(file.wrong[0]).toMatch(/quotation mark near line 3 does not close/);
  });
  it('a cell too many or too few is a bad row of its own, and moves nothing along', () => {
    const file = fromCsv('number,bin,on hand\nA-1,A,1,5\nA-2,B2\nA-3,B3,7\n', ['number', 'bin', 'on hand']);
    expect(file.unreadable.map(({ row }) => row)).toEqual([2, 3]);
    expect(file.rows.map(({ cells }) => cells)).toEqual([{ number: 'A-3', bin: 'B3', 'on hand': '7' }]);
  });
  it('letters lost to a wrong encoding are said, never kept', () => {
    const file = fromCsv('number,name\nA-1,Dichtung f\uFFFDr Deckel\nA-2,gland\u0000\n', ['number', 'name']);
    expect(file.unreadable).toHaveLength(2);
    expect(file.unreadable[0]?.why).toMatch(/UTF-8/);
  });
  it('more rows than any store has are refused before they are read one by one', () => {
    const large = `number\n${'A-1\n'.repeat(120_000)}`;
    const began = performance.now();
    expect(fromCsv(large, ['number']).wrong[0]).toMatch(/more than 5000 rows/);
    expect(performance.now() - began).toBeLessThan(2000);
  });
  it('a column that stands twice is not guessed at', () => {
    expect(fromCsv('number,bin,bin\nA,B,C\n', ['number', 'bin']).wrong[0]).toMatch(/bin twice/);
  });
  it('empty lines are passed over, and rows keep their place', () => {
    expect(fromCsv('a\n1\n2\n', ['a']).rows.map(({ row }) => row)).toEqual([2, 3]);
  });
});
