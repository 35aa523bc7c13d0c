import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { anyWeek } from '../testing/weeks';
import { boundsOf, faultsOf, instanceOf, instant, weekPlan } from '.';
import { placingOf } from './answer';
import { generate } from './engine/generate';
import { improve, type Budget } from './engine/improve';
import { rules } from './engine/rules';
import { compare, scoreOf } from './score';

const short: Budget = { puts: 4000, isOver: () => false };

describe('any week of a small shop', () => {
  it('is planned with every rule kept, not better than its bounds and never worse than any single rule', () => {
    fc.assert(
      fc.property(anyWeek, (week) => {
        const instance = must(instanceOf(week));
        const solved = instant(instance, short);
        if (!solved.ok) return;
        const { plan, score, bounds } = solved.value;
        expect(faultsOf(week, plan.map(placingOf))).toEqual([]);
        for (const level of ['hard', 'late', 'end'] as const)
          expect(bounds[level]).toBeLessThanOrEqual(score[level] + 1e-9);
        for (const rule of Object.values(rules(instance))) {
          const made = generate(instance, rule);
          if (Array.isArray(made)) expect(compare(score, scoreOf(instance, made))).toBeLessThanOrEqual(0);
        }
      }),
      { numRuns: 150 },
    );
  });
  it('keeps pins that a plan shows to be possible', () => {
    fc.assert(
      fc.property(anyWeek, fc.nat(), (week, which) => {
        const first = instant(must(instanceOf(week)), short);
        if (!first.ok) return;
        const stands = first.value.plan[which % first.value.plan.length];
        if (!stands) return;
        const { job, id, start, person } = placingOf(stands);
        const pinned = { ...week, pinned: [{ job, id, start, ...(person === undefined ? {} : { person }) }] };
        const again = must(instant(must(instanceOf(pinned)), short));
        expect(faultsOf(pinned, again.plan.map(placingOf))).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });
  it('is changed little by a plan of it that stood before', () => {
    fc.assert(
      fc.property(anyWeek, (week) => {
        const first = instant(must(instanceOf(week)), short);
        if (!first.ok) return;
        const stood = first.value.plan.map(placingOf);
        const instance = must(instanceOf(week, stood));
        const again = must(instant(instance, short));
        const before = first.value.score;
        const { hard, late, moved } = again.score;
        expect(hard).toBeLessThanOrEqual(before.hard);
        if (hard === before.hard) expect(late + moved).toBeLessThanOrEqual(before.late + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
  it('is never made worse by looking further', () => {
    fc.assert(
      fc.property(anyWeek, fc.integer({ min: 1, max: 99 }), (week, seed) => {
        const instance = must(instanceOf(week));
        const first = instant(instance, { ...short, puts: 0 });
        if (!first.ok) return;
        const further = improve(instance, first.value.plan, short, first.value.bounds, seed);
        expect(compare(scoreOf(instance, further), first.value.score)).toBeLessThanOrEqual(0);
        expect(faultsOf(week, further.map(placingOf))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
  it('says of its bound and gap what the handbook says of them', () => {
    fc.assert(
      fc.property(anyWeek, (week) => {
        const instance = must(instanceOf(week));
        const solved = instant(instance, short);
        if (!solved.ok) return;
        const { objective, bound, gap } = weekPlan(instance, solved.value);
        expect(bound).toBeLessThanOrEqual(objective);
        expect(gap).toBeCloseTo(objective === 0 ? 0 : (objective - bound) / objective, 12);
        expect(boundsOf(instance)).toEqual(solved.value.bounds);
      }),
      { numRuns: 60 },
    );
  });
});
