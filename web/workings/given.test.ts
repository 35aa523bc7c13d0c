import { must } from '@dusk-wren/core/problem';
import { findWorking, onDay, WORKINGS } from '@dusk-wren/core/workings';
import { describe, expect, it } from 'vitest';
import {
  exampleFor,
  fieldsFor,
  formParts,
  listOf,
  missingFrom,
  rawFrom,
  rowsOf,
  textOfRows,
  wayTyped,
} from './given';
import { asText, givenLines, problemsByField, refusalWords } from './words';

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
    expect(missingFrom(fields, typed)).toEqual([]);
    expect(missingFrom(fields, { ...typed, nominal: ' ' })).toEqual(['Nominal bore']);
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

describe('a refusal names the field as the form does', () => {
  const said = (id: string, raw: unknown) => {
    const working = must(findWorking(id));
    const { problem } = working.run(raw);
    return problem ? refusalWords(problem, working) : 'answered';
  };
  it.each([
    [
      'bolting.torque',
      { thread: '3/4-10', nutFactor: 0.16, material: 'B7', percentYield: '75 percnt' },
      'Share of yield: Read 75, but “percnt” is no unit known here.',
    ],
    [
      'bolting.torque',
      { thread: '3/4-10', nutFactor: 'slippery', stress: '45 ksi' },
      'Nut factor K: “slippery” does not begin with a number.',
    ],
    [
      'bolting.torque',
      { thread: '3/4-10', nutFactor: 7, stress: '45 ksi' },
      'Nut factor K: 7 is not possible; from 0.05 to 0.5, because nothing else makes sense here.',
    ],
    [
      'bolting.sequence',
      { bolts: '8.5', passes: 'quarters', torque: '40 N·m' },
      'Number of bolts: 8.5 is not possible; a whole number from 3 to 96, because nothing else makes sense here.',
    ],
    [
      'bolting.sequence',
      { bolts: 8, passes: 'halves', torque: '40 N·m' },
      'Passes: There is no “halves” in the choices: try quarters, thirds.',
    ],
    [
      'bore.wear',
      { nominal: '6 in', limit: '3 thou', readings: [{ depth: 'top', direction: 'A', diameter: '6 im' }] },
      'Readings: three depths, two directions, row 1: Read 6, but “im” is no unit known here.',
    ],
    [
      'stem.runout',
      { readings: ['1 thou'] },
      'Dial readings, one turn: 1 given, at least 5 needed: bow and out-of-round cannot be told apart with fewer; eight or more are wanted.',
    ],
    [
      'relief.set',
      { setPressure: '100 psig', code: 'VIII', reseat: '120 psig' },
      'Reseated at: 120 psig is not possible; below the set pressure, 100 psig, because it closes on falling pressure.',
    ],
    [
      'lathe.speed',
      { diameter: '-2 in', surfaceSpeed: '40 ft/min' },
      'Diameter being cut: -2 in is not possible; more than 0, because less has no meaning here.',
    ],
  ])('%s %j', (id, raw, words) => {
    expect(said(id, raw).startsWith(words), said(id, raw)).toBe(true);
  });
});

describe('several ways to say the same', () => {
  const partsOf = (id: string) => formParts(must(findWorking(id)).fields);
  const choices = (id: string) => partsOf(id).flatMap((part) => ('choice' in part ? part.choice : []));

  it('are one choice, and every field stands once (every working)', () => {
    for (const { fields } of WORKINGS) {
      const shown = formParts(fields).flatMap((part) =>
        'field' in part
          ? part.field.name
          : part.choice.ways.flatMap((way) => way.fields.map(({ name }) => name)),
      );
      expect(shown.toSorted()).toEqual(fields.map(({ name }) => name).toSorted());
    }
  });
  it('a torque is by stress, by preload or by a share of yield with its material', () => {
    const [how] = choices('bolting.torque');
    expect(how?.ways.map(({ as }) => as)).toEqual(['stress', 'preload', 'share of yield']);
    expect(how?.ways[2]?.fields.map(({ name }) => name)).toEqual(['material', 'percentYield']);
  });
  it('the way in which something is typed is the one that shows', () => {
    const [how] = choices('flow.liquid');
    expect(how && wayTyped(how, { Kv: '104' })).toBe('Kv');
    expect(how && wayTyped(how, {})).toBeUndefined();
  });
  it('one way of each choice works by itself (worked example of the form)', () => {
    for (const working of WORKINGS) {
      const example = exampleFor(working.fields);
      if (missingFrom(working.fields, example).length > 0) continue;
      for (const part of formParts(working.fields)) {
        if (!('choice' in part)) continue;
        const typedWays = part.choice.ways.filter(({ fields }) => fields.some(({ name }) => example[name]));
        expect(typedWays.length, `${working.id}: ${part.choice.of}`).toBeLessThanOrEqual(1);
      }
    }
  });
});

describe('a refusal', () => {
  const problemsOf = (id: string, raw: Record<string, unknown>) => {
    const working = must(findWorking(id));
    const { problem } = working.run(raw);
    return problem ? problemsByField(problem, working) : {};
  };
  it('stands at the field it is about, without the name that stands there already', () => {
    const said = problemsOf('bolting.torque', { thread: 'abc', nutFactor: '0.16', preload: '16000 lbf' });
    expect(Object.keys(said)).toEqual(['thread']);
    expect(said['thread']).toMatch(/^There is no “abc” in threads: try /);
  });
  it('is left to the answer where it is about several', () => {
    expect(problemsOf('stem.thrust', { meanDiameter: '1 in', lead: '0.2 in', friction: '0.15' })).toEqual({});
  });
});
