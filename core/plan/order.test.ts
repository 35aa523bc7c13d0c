import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STAGES, type Stage } from '../job';
import { must } from '../problem';
import { always, draft, stepName, type Draft } from '../procedure';
import { ifThere, lastTime } from '../procedure/relations';
import { ordered, settled, proposed, type Proposed } from './order';
import { readyBy } from './ready-by';
import { workingDaysFrom } from './working-days';

const [A, B, C] = [stepName('a'), stepName('b'), stepName('c')];

const step = (id: string, change: Partial<Draft> = {}, opening = 1): Proposed =>
  proposed(
    draft({
      name: stepName(id),
      stage: 'strip',
      title: id,
      why: 'because.',
      minutes: 1,
      because: always('test'),
      ...change,
    }),
    opening,
  );
const order = (steps: Proposed[]) => must(ordered(settled(steps))).map(({ id }) => id);

describe('the order of steps', () => {
  it('keeps every relation, whatever order the fragments came in', () => {
    expect(order([step('c', { after: [B] }), step('a'), step('b', { after: [A] })])).toEqual(['a', 'b', 'c']);
  });
  it('among those that may come next, the earlier stage, then the fragment’s own order', () => {
    expect(
      order([step('late', { stage: 'test' }), step('x'), step('y'), step('early', { stage: 'receive' })]),
    ).toEqual(['early', 'x', 'y', 'late']);
  });
  it('a milestone stands for every step that gives it', () => {
    const steps = [
      step('close', { after: ['clean to close'] }),
      step('wipe', { provides: ['clean to close'] }),
      step('blow', { provides: ['clean to close'] }),
    ];
    expect(order(steps)).toEqual(['wipe', 'blow', 'close']);
    const [last] = must(ordered(settled(steps))).slice(-1);
    expect(last?.after).toEqual(['wipe', 'blow']);
  });
  it('a milestone that nothing gives, and a step that is not there, are not waited for', () => {
    expect(must(ordered(settled([step('a', { after: ['tests', ifThere(B)] })])))[0]?.after).toEqual([]);
  });
  it('a step does not wait for a milestone it gives itself', () => {
    expect(order([step('a', { after: ['tests'], provides: ['tests'] })])).toEqual(['a']);
  });
  it('a later opening comes after an earlier one', () => {
    expect(order([step('again', { stage: 'receive' }, 2), step('first', { stage: 'test' })])).toEqual([
      'first',
      'again@2',
    ]);
  });
  it('at a later opening a relation is that opening’s, or the last one that was there; or the one before where it says so', () => {
    const steps = [
      step('ask', { provides: ['asked'] }),
      step('a', { provides: ['seat tested'] }),
      step('a', { after: [lastTime('seat tested'), 'asked'], provides: ['seat tested'] }, 2),
      step('b', { after: ['seat tested', A] }, 2),
    ];
    const after = Object.fromEntries(must(ordered(settled(steps))).map((each) => [each.id, each.after]));
    expect(after).toEqual({ ask: [], a: [], 'a@2': ['a', 'ask'], 'b@2': ['a@2'] });
  });
  it('a circle is refused with the names in it, and no others', () => {
    const { problem } = ordered(
      settled([
        step('free'),
        step('a', { after: [B] }),
        step('b', { after: [C] }),
        step('c', { after: [A] }),
      ]),
    );
    expect(problem).toEqual({ code: 'plan.cycle', fragments: ['a', 'b', 'c'] });
  });
  it('one step proposed twice is refused by name', () => {
    expect(ordered(settled([step('a'), step('a')])).problem).toEqual({
      code: 'plan.same-step',
      steps: ['a'],
    });
  });
  it('any relations without a circle give an order that keeps them all, each step once (property)', () => {
    const relations = fc.array(fc.tuple(fc.nat(19), fc.nat(19)), { maxLength: 60 });
    const stages = fc.array(fc.constantFrom<Stage>(...STAGES), { minLength: 20, maxLength: 20 });
    fc.assert(
      fc.property(relations, stages, (pairs, stageOf) => {
        const after = (i: number) =>
          pairs.flatMap(([a, b]) => (Math.max(a, b) === i && a !== b ? [Math.min(a, b)] : []));
        const steps = Array.from({ length: 20 }, (_, i) =>
          step(`s${i}`, {
            after: after(i).map((before) => stepName(`s${before}`)),
            stage: stageOf[i] ?? 'strip',
          }),
        );
        const found = order(steps);
        expect([...found].sort()).toEqual(steps.map(({ id }) => id).sort());
        for (const [i, { id }] of steps.entries())
          for (const before of after(i)) expect(found.indexOf(`s${before}`)).toBeLessThan(found.indexOf(id));
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
