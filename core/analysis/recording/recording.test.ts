import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { mapColumns, readNumberTable, strokeFrom } from '.';

const read = (text: string) => readNumberTable(new TextEncoder().encode(text));
const rows = (text: string) => {
  const table = read(text);
  return table && Array.from({ length: table.rows }, (_, i) => table.columns.map((column) => column[i]));
};

describe('readNumberTable', () => {
  it.each([
    [
      'a,b\n1,2\n3,4\n',
      [
        [1, 2],
        [3, 4],
      ],
    ],
    [
      'a,b\r\n1,2\r\n3,4',
      [
        [1, 2],
        [3, 4],
      ],
    ],
    ['a;b\n1,5;-2,25\n', [[1.5, -2.25]]],
    ['a\tb\n1.5\t2\n', [[1.5, 2]]],
    ['a,b\n 1 , +2 \n', [[1, 2]]],
    ['a,b\n"1.5","-2"\n', [[1.5, -2]]],
    ['a,b\n1e3,-2.5E-2\n', [[1000, -0.025]]],
    ['a,b\n.5,0.\n', [[0.5, 0]]],
    ['a,b\n\n1,2\n\n', [[1, 2]]],
    ['\uFEFFa,b\n1,2\n', [[1, 2]]],
  ])('reads %j', (text, expected) => {
    expect(rows(text)).toEqual(expected);
  });
  it('a quoted header may hold the delimiter', () => {
    expect(read('"Signal, mA",Travel\n4,0\n')?.headers).toEqual(['Signal, mA', 'Travel']);
  });
  it('broken rows are counted and named, never fatal', () => {
    const table = read('a,b,c\n1,2,3\n1,2\n1,x,3\n4,5,6,7\nnotes\n7,8,9\n');
    expect(table?.rows).toBe(2);
    expect(table?.broken).toEqual({
      count: 4,
      named: [
        { line: 3, why: '2 of 3 cells' },
        { line: 4, why: 'cell 2 is no number' },
        { line: 5, why: 'more cells than the header' },
        { line: 6, why: 'cell 1 is no number' },
      ],
    });
  });
  it('names at most twenty of a thousand', () => {
    const table = read(`a,b\n1,2\n${'x,y\n'.repeat(1000)}`);
    expect(table?.broken.count).toBe(1000);
    expect(table?.broken.named).toHaveLength(20);
  });
  it.each(['', 'hello', 'one column\n1\n2\n', 'a,b\n'])('%j is no table', (text) => {
    expect(read(text)).toBeUndefined();
  });
  it('agrees with a general CSV library on every number (property)', () => {
    const cell = fc.double({ min: -1e9, max: 1e9, noNaN: true }).map((value) => value.toFixed(6));
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 30 }), (body) => {
        const text = `a,b,c\n${body.map((each) => each.join(',')).join('\n')}\n`;
        const library = Papa.parse<string[]>(text.trim())
          .data.slice(1)
          .map((each) => each.map(Number));
        const ours = rows(text) ?? [];
        expect(ours).toHaveLength(library.length);
        ours.forEach((row, i) =>
          row.forEach((value, j) => expect(value).toBeCloseTo(library[i]?.[j] ?? NaN, 6)),
        );
      }),
      { seed: 3 },
    );
  });
  it('anything at all is read or left, never thrown on (property)', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
        const table = readNumberTable(bytes);
        expect(table === undefined || table.rows >= 0).toBe(true);
      }),
      { seed: 4, numRuns: 300 },
    );
  });
});

describe('mapColumns', () => {
  it.each([
    [
      ['Time (s)', 'Signal (%)', 'Actuator pressure (psi)', 'Travel (in)'],
      { time: 0, signal: 1, pressure: 2, travel: 3 },
    ],
    [['Travel [mm]', 'Pressure [bar]', 'Set point [mA]', 'time [ms]'], { travel: 0, pressure: 1, signal: 2 }],
    [['stem position (mm)', 'diaphragm (kPa)'], { travel: 0, pressure: 1 }],
    [
      ['t (s)', 'pressure 1 (bar)', 'pressure 2 (bar)', 'stroke (%)'],
      { time: 0, pressure: 1, 'pressure 2': 2, travel: 3 },
    ],
    [['travel_mm', 'pressure_psi', 'command_%'], { travel: 0, pressure: 1, signal: 2 }],
  ])('%j', (headers, expected) => {
    const { columns } = mapColumns(headers);
    expect(
      Object.fromEntries(Object.entries(columns).map(([role, meaning]) => [role, meaning?.column])),
    ).toEqual(expected);
  });
  it('a choice by hand wins over the guess', () => {
    const { columns } = mapColumns(['A (psi)', 'B (in)', 'Pressure (psi)'], {
      pressure: 'A (psi)',
      travel: 'B (in)',
    });
    expect([columns.pressure?.column, columns.travel?.column]).toEqual([0, 1]);
  });
  it('says why a column is of no use', () => {
    expect(mapColumns(['Travel (furlong)', 'Colour', 'Pressure (psi)']).unused).toEqual([
      { header: 'Travel (furlong)', why: 'its unit is none of travel' },
      { header: 'Colour', why: 'not a column of a stroke' },
    ]);
  });
  it('units of the header are turned to SI: psi, bar, mm, mA', () => {
    const table = read('Pressure (psi),Travel (mm),Signal (mA)\n10,25.4,12\n');
    if (!table) throw new Error('no table');
    const made = strokeFrom(table, mapColumns(table.headers).columns);
    if (!('stroke' in made)) throw new Error('no stroke');
    expect(made.stroke.pressure[0]).toBeCloseTo(68947.57, 1);
    expect(made.stroke.travel[0]).toBeCloseTo(0.0254, 9);
    expect(made.stroke.signal?.[0]).toBeCloseTo(0.5, 9);
  });
  it('a second pressure opposes the first', () => {
    const table = read('Pressure 1 (bar),Pressure 2 (bar),Travel (mm)\n5,2,1\n');
    if (!table) throw new Error('no table');
    const made = strokeFrom(table, mapColumns(table.headers).columns);
    expect('stroke' in made && made.stroke.pressure[0]).toBeCloseTo(3e5, 3);
  });
  it('names the roles that are missing', () => {
    const table = read('Time (s),Pressure (bar)\n1,2\n');
    if (!table) throw new Error('no table');
    expect(strokeFrom(table, mapColumns(table.headers).columns)).toEqual({ missing: ['travel'] });
  });
});
