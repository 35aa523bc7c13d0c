import { must } from '@dusk-wren/core/problem';
import { findWorking, onDay, WORKINGS } from '@dusk-wren/core/workings';
import { describe, expect, it } from 'vitest';
import { exampleFor, fieldsFor, listOf, missingFrom, rawFrom, rowsOf, textOfRows } from './given';
import { asText, givenLines } from './words';

describe('what was typed, as raw input', () => {
  it.each([
    ['1 thou; 2 thou', ['1 thou', '2 thou']],
    ['1 thou\n2 thou\n', ['1 thou', '2 thou']],
    ['0,003 in, 0,004 in', ['0,003 in', '0,004 in']],
    [' ; ', []],
  ])('%j is a list', (text, list) => {
    expect(listOf(text)).toEqual(list);
  });
  it('small tables go through the address and back', () => {
    const rows = [{ signal: '0 %', up: '1', down: '2' }];
    expect(rowsOf(textOfRows(rows))).toEqual(rows);
    expect(textOfRows([{ signal: ' ', up: '' }])).toBe('');
  });
  it.each(['', '{', '7', '"text"', 'null', '[1, null]'])('%j is no table', (text) => {
    expect(rowsOf(text)).toEqual([]);
  });
  it('empty fields and empty rows are left out', () => {
    const { fields } = must(findWorking('bore.wear'));
    const typed = {
      nominal: ' 4 in ',
      limit: '',
      readings: JSON.stringify([
        { depth: 'top', direction: 'A', diameter: '4 in' },
        { depth: '', direction: '', diameter: '' },
      ]),
    };
    expect(rawFrom(fields, typed)).toEqual({
      nominal: '4 in',
      readings: [{ depth: 'top', direction: 'A', diameter: '4 in' }],
    });
    expect(missingFrom(fields, typed)).toEqual(['Limit']);
  });
  it('only the fields that the chosen standard needs are asked and sent', () => {
    const { fields } = must(findWorking('leak.allowance'));
    const names = (code: string) => fieldsFor(fields, { code }).map(({ name }) => name);
    expect(names('FCI 70-2')).toEqual(['code', 'fluid', 'class', 'portDiameter', 'difference', 'ratedCv']);
    expect(names('API 527')).toEqual(['code', 'fluid', 'size', 'seat', 'orifice', 'setPressure']);
    expect(rawFrom(fields, { code: 'API 527', fluid: 'gas', rate: 'D' })).toEqual({
      code: 'API 527',
      fluid: 'gas',
    });
  });
});

describe.each(
  WORKINGS.filter(({ fields }) => fields.every(({ kind }) => kind !== 'file')).map(
    (working) => [working.id, working] as const,
  ),
)('the example of %s', (_id, working) => {
  const typed = exampleFor(working.fields);
  it('is complete and works', () => {
    expect(missingFrom(working.fields, typed)).toEqual([]);
    const answer = working.run(onDay(working, rawFrom(working.fields, typed), '2026-03-01'));
    expect(answer.problem).toBeUndefined();
  });
  it('can be pasted as text, with what went in, what came out and whose figure it is', () => {
    const answer = must(working.run(onDay(working, rawFrom(working.fields, typed), '2026-03-01')));
    const text = asText(working, typed, answer, 'http://shop/workings');
    expect(text.startsWith(working.title)).toBe(true);
    expect(text).toContain('Source: ');
    for (const { label } of givenLines(working, typed)) expect(text).toContain(label);
  });
});
