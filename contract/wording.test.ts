import { parseQuantity } from '@dusk-wren/core/quantity';
import { describe, expect, it } from 'vitest';
import type { AnyProblem } from './http-problem';
import { STATUS } from './status';
import { WORDING, wordProblem } from './wording';

describe('every problem has its words and its status', () => {
  it('the two tables know the same codes', () => {
    expect(Object.keys(WORDING).sort()).toEqual(Object.keys(STATUS).sort());
  });
  it('only our own failure is a 5xx', () => {
    const fives = Object.entries(STATUS)
      .filter(([, status]) => status >= 500)
      .map(([code]) => code);
    expect(fives.sort()).toEqual([
      'answer.unreadable',
      'backup.failed',
      'connection.lost',
      'database.away',
      'database.unwritable',
      'server.failed',
    ]);
  });
});

describe('a typo is answered in words that help', () => {
  const said = (text: string) => {
    const { problem } = parseQuantity(text, 'length');
    return problem ? wordProblem(problem) : 'read';
  };
  it.each([
    ['12 tohu', 'Read 12, but “tohu” is no unit known here. Perhaps thou?'],
    ['12', 'Read 12, but in what? Type a unit, such as m, mm or µm.'],
    ['25 N·m', '“25 N·m” is a torque; a length is wanted here.'],
    ['abc', '“abc” does not begin with a number.'],
    ['1 2 in', 'Read “1”, but not “2 in”.'],
  ])('%s', (text, words) => {
    expect(said(text)).toBe(words);
  });
});

it('what a problem measures is said in the reader’s units', () => {
  const problem: AnyProblem = {
    code: 'reading.not-steady',
    what: 'pressure upstream',
    change: { dimension: 'pressure difference', value: 12, unit: 'psi' },
    over: { dimension: 'time', value: 5, unit: 's' },
  };
  expect(wordProblem(problem, 'US')).toContain('12 psi in the last 5 s');
  expect(wordProblem(problem, 'SI')).toContain('0.827 bar in the last 5 s');
  const { change: _unknown, ...unwatched } = problem;
  expect(wordProblem(unwatched, 'SI')).toContain('was not watched for 5 s');
});
