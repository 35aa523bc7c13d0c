import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { FT06, FT10, LA01, weekOf } from '../testing/job-shops';
import { boundsOf, faultsOf, instanceOf, planWeek } from '.';

/** Shortest ends as published: Fisher and Thompson 1963, Lawrence 1984, Carlier and Pinson 1989. */
describe.each([FT06, LA01, FT10])('$name, whose shortest end is $best', (shop) => {
  const week = weekOf(shop);
  const plan = must(planWeek(week));
  it('is planned within a tenth of it by the instant engine, and every rule is kept', () => {
    expect(faultsOf(week, plan.operations)).toEqual([]);
    expect(plan.end).toBeLessThanOrEqual(shop.best * 1.1);
    expect(plan.end).toBeGreaterThanOrEqual(shop.best);
    expect(Math.max(...plan.operations.map(({ end }) => end))).toBe(plan.end);
  });
  it('has a bound that is not above it, and no dates: its objective is the end', () => {
    expect(boundsOf(must(instanceOf(week))).end).toBeLessThanOrEqual(shop.best);
    expect(plan.objective).toBe(plan.end);
    expect(plan.gap).toBeCloseTo((plan.objective - plan.bound) / plan.objective, 12);
  });
  it('comes out the same each time', () => {
    expect(must(planWeek(week)).operations).toEqual(plan.operations);
  });
});
