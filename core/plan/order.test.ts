import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STAGES, type Stage } from '../job';
import { must } from '../problem';
import { always, draft, type Draft } from '../procedure/draft';
import { ordered } from './order';
import { readyBy, workingDaysFrom } from './ready-by';

const step = (id: string, change: Partial<Draft> = {}): { draft: Draft; opening: number } => ({
  draft: draft({
    id,
    stage: 'strip',
    title: id,
    why: 'because.',
    minutes: 1,
    because: always('test'),
    ...change,
  }),
  opening: 1,
});
const order = (steps: { draft: Draft; opening: number }[]) =>
  must(ordered(steps)).map(({ draft: each }) => each.id);

describe('the order of steps', () => {
  it('keeps every relation, whatever order the fragments came in', () => {
    expect(order([step('c', { after: ['b'] }), step('a'), step('b', { after: ['a'] })])).toEqual([
      'a',
      'b',
      'c',
    ]);
  });
  it('among those that may come next, the earlier stage, then the fragment’s own order', () => {
    expect(
      order([step('late', { stage: 'test' }), step('x'), step('y'), step('early', { stage: 'receive' })]),
    ).toEqual(['early', 'x', 'y', 'late']);
  });
  it('a milestone stands for every step that provides it', () => {
    const steps = [
      step('close', { after: ['clean'] }),
      step('wipe', { provides: ['clean'] }),
      step('blow', { provides: ['clean'] }),
    ];
    expect(order(steps)).toEqual(['wipe', 'blow', 'close']);
    const [last] = must(ordered(steps)).slice(-1);
    expect(last?.after).toEqual(['wipe', 'blow']);
  });
  it('what is not on this plan is not waited for', () => {
    expect(must(ordered([step('a', { after: ['nowhere'] })]))[0]?.after).toEqual([]);
  });
  it('a step does not wait for a milestone it provides itself', () => {
    expect(order([step('a', { after: ['m'], provides: ['m'] })])).toEqual(['a']);
  });
  it('a later opening comes after an earlier one', () => {
    expect(
      order([{ ...step('again', { stage: 'receive' }), opening: 2 }, step('first', { stage: 'test' })]),
    ).toEqual(['first', 'again']);
  });
  it('a circle is refused with the names in it, and no others', () => {
    const { problem } = ordered([
      step('free'),
      step('a', { after: ['b'] }),
      step('b', { after: ['c'] }),
      step('c', { after: ['a'] }),
    ]);
    expect(problem).toEqual({ code: 'plan.cycle', fragments: ['a', 'b', 'c'] });
  });
  it('any relations without a circle give an order that keeps them all, each step once (property)', () => {
    const relations = fc.array(fc.tuple(fc.nat(19), fc.nat(19)), { maxLength: 60 });
    const stages = fc.array(fc.constantFrom<Stage>(...STAGES), { minLength: 20, maxLength: 20 });
    fc.assert(
      fc.property(relations, stages, (pairs, stageOf) => {
        const after = (i: number) =>
          pairs.flatMap(([a, b]) => (Math.max(a, b) === i && a !== b ? [`s${Math.min(a, b)}`] : []));
        const steps = Array.from({ length: 20 }, (_, i) =>
          step(`s${i}`, { after: after(i), stage: stageOf[i] ?? 'strip' }),
        );
        const found = order(steps);
        expect([...found].sort()).toEqual(steps.map(({ draft: each }) => each.id).sort());
        for (const { draft: each } of steps)
          for (const first of each.after) expect(found.indexOf(first)).toBeLessThan(found.indexOf(each.id));
      }),
      { seed: 1 },
    );
  });
});

describe('the day a job can be ready (8 h on weekdays)', () => {
  const friday = '2026-11-27T08:00:00.000Z';
  it.each([
    [60, '2026-11-27'],
    [8 * 60, '2026-11-27'],
    [8 * 60 + 1, '2026-11-30'],
    [5 * 8 * 60, '2026-12-03'],
  ])('%d minutes of work from a Friday: %s', (remainingMinutes, day) => {
    expect(readyBy({ remainingMinutes }, friday)).toBe(day);
  });
  it('not before the last part is in, with what waits for it still to do', () => {
    expect(
      readyBy({ remainingMinutes: 60, awaited: { expected: '2026-12-02', minutesAfter: 9 * 60 } }, friday),
    ).toBe('2026-12-03');
    expect(
      readyBy(
        { remainingMinutes: 6 * 8 * 60, awaited: { expected: '2026-11-28', minutesAfter: 60 } },
        friday,
      ),
    ).toBe('2026-12-04');
  });
  it.each([
    [1, '2026-11-30'],
    [4, '2026-12-03'],
    [6, '2026-12-07'],
  ])('%d working days from a Friday: %s', (days, day) => {
    expect(workingDaysFrom(friday, days)).toBe(day);
  });
});
