import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { project } from '../testing/project-networks';
import { shopWeek } from '../testing/shop-weeks';
import { bestRule, boundsOf, faultsOf, instanceOf, instant, planWeek, type Week } from '.';
import { scoreOf } from './score';

/** Projects under scarce resources, by the rules of Kolisch, Sprecher and Drexl 1995 (from memory). */
describe.each([
  { complexity: 1.5, strength: 0.2 },
  { complexity: 1.5, strength: 0.7 },
  { complexity: 1.8, strength: 0.2 },
  { complexity: 2.1, strength: 0.5 },
])('generated projects of complexity $complexity and strength $strength', (kind) => {
  const weeks = [1, 2, 3, 4, 5, 6].map((seed) => project({ ...kind, activities: 30, resources: 4 }, seed));
  it('are planned with every rule kept, no better than their bound and close to it', () => {
    const gaps = weeks.map((week) => {
      const plan = must(planWeek(week));
      expect(faultsOf(week, plan.operations)).toEqual([]);
      expect(plan.bound).toBeLessThanOrEqual(plan.end);
      return plan.gap;
    });
    expect(gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length).toBeLessThan(0.1);
  });
  it('are no longer than the best single rule makes them', () => {
    for (const week of weeks) {
      const instance = must(instanceOf(week));
      const byRule = scoreOf(instance, must(bestRule(instance))).end;
      expect(must(planWeek(week)).end).toBeLessThanOrEqual(byRule);
    }
  });
});

describe('a shop with 200 jobs and 1 600 operations', () => {
  const dated = shopWeek(200);
  const week: Week = { ...dated, jobs: dated.jobs.map(({ due: _, ...job }) => ({ ...job, hard: false })) };
  it('ends within three of a hundred of the bound on its end', () => {
    const instance = must(instanceOf(week));
    const { score, bounds } = must(instant(instance));
    expect(score.end).toBeLessThanOrEqual(1.03 * bounds.end);
    expect(boundsOf(instance).end).toBe(bounds.end);
  });
  it('keeps every rule, with dates and without', () => {
    for (const each of [week, dated]) expect(faultsOf(each, must(planWeek(each)).operations)).toEqual([]);
  });
});
