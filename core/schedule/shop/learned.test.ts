import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { plan, type Plan } from '../../plan';
import { BenchJob } from '../../testing/bench';
import { operationsOf } from './job-operations';
import { factorOf, ratiosOf } from './learned';

const job = new BenchJob().workTo('inspect.runout');
const current = must(plan(job.state));
if (!current) throw new Error('no plan');
const operations = operationsOf(current, job.state);

/** The same job with every step that is done taking `times` as long as planned, by one pair of hands. */
function taking(times: number, pauseBefore?: string): Plan {
  let at = Date.parse('2026-12-07T07:00:00Z');
  const done = (current?.steps ?? [])
    .filter(({ finished }) => finished)
    .toSorted((a, b) => (a.finished?.seq ?? 0) - (b.finished?.seq ?? 0));
  const ends = new Map(
    done.map((step) => {
      at += (step.minutes * times + (step.id === pauseBefore ? 16 * 60 : 0)) * 60_000;
      return [step.id, new Date(at).toISOString()];
    }),
  );
  const by = done[0]?.finished?.by;
  if (!current || !by) throw new Error('nothing is done');
  return {
    ...current,
    steps: current.steps.map((step) =>
      step.finished ? { ...step, finished: { ...step.finished, at: ends.get(step.id) ?? '', by } } : step,
    ),
  };
}

describe('what a log says of how long work took', () => {
  it.each([0.5, 1, 1.5])('is %s of what was planned where it took so', (times) => {
    const ratios = ratiosOf(taking(times), operations);
    expect(ratios.length).toBeGreaterThan(0);
    for (const { ratio } of ratios) expect(ratio).toBeCloseTo(times, 6);
  });
  it('has no night in it', () => {
    const strip = current.steps.find(({ stage, status }) => stage === 'strip' && status === 'done');
    for (const { ratio } of ratiosOf(taking(1, strip?.id), operations)) expect(ratio).toBeCloseTo(1, 6);
  });
  it('is of no kind that was hardly worked on, nor of holds', () => {
    const kinds = ratiosOf(taking(1), operations).map(({ kind }) => kind);
    expect(kinds).not.toContain('hold');
    expect(new Set(kinds).size).toBe(kinds.length);
  });
});

describe('the factor of a kind of work', () => {
  it('is 1 while fewer than five are known, then the median', () => {
    expect(factorOf([2, 2, 2, 2])).toBe(1);
    expect(factorOf([2, 1.2, 0.9, 1.4, 1.1])).toBe(1.2);
    expect(factorOf([1, 2, 3, 4, 5, 6])).toBe(3.5);
  });
  it('is of the last twenty: what was long ago is forgotten', () => {
    expect(factorOf([...Array.from({ length: 30 }, () => 3), ...Array.from({ length: 20 }, () => 1.1)])).toBe(
      1.1,
    );
  });
});
