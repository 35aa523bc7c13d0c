import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { instanceOf, instant, placedAs, readWeek, weekPlan } from '.';
import { anyWeek } from '../testing/weeks';
import { scoreOf } from './score';

describe('a plan that was written down', () => {
  it('is read again as it was made: on units that are free, as good as it was', () => {
    fc.assert(
      fc.property(anyWeek, (week) => {
        const instance = instanceOf(week);
        const solved = instance.ok ? instant(instance.value, { puts: 5000, isOver: () => false }) : instance;
        fc.pre(instance.ok && solved.ok);
        const again = placedAs(instance.value, weekPlan(instance.value, solved.value).operations);
        expect(again && scoreOf(instance.value, again)).toEqual(solved.value.score);
      }),
      { numRuns: 60 },
    );
  });
  it('is none of this week where work is missing, or nobody does it so', () => {
    const week = must(
      readWeek({
        places: [{ id: 'lathe' }],
        people: [{ id: 'Avis', skills: ['lathe'] }],
        jobs: [{ id: 'a', operations: [{ id: 'turn', minutes: 60, place: 'lathe', skill: 'lathe' }] }],
      }),
    );
    const instance = must(instanceOf(week));
    const turn = { job: 'a', id: 'turn', place: 'lathe', start: 0, end: 60 };
    expect(placedAs(instance, [{ ...turn, person: 'Avis' }])).toHaveLength(1);
    expect(placedAs(instance, [{ ...turn, person: 'Bo' }])).toBeUndefined();
    expect(placedAs(instance, [turn])).toBeUndefined();
    expect(placedAs(instance, [])).toBeUndefined();
  });
});
