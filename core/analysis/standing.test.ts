import { describe, expect, it } from 'vitest';
import { standsAt } from './standing';

const sampled = (seconds: number, at: (t: number) => number) =>
  Array.from({ length: Math.round(seconds * 10) + 1 }, (_, i) => ({ seconds: i / 10, value: at(i / 10) }));

describe('where a travel stands (handbook part 6.5: change below 0.1 % a second, half a minute at most)', () => {
  it('is nothing while it moves, and the mean of its last second once it does not', () => {
    const settling = (t: number) => 50 - 20 * Math.exp(-t);
    expect(standsAt(sampled(3, settling), 0)).toBeUndefined();
    expect(standsAt(sampled(8, settling), 0)).toBeCloseTo(50, 1);
  });
  it('is not told before two seconds after it was disturbed', () => {
    const still = sampled(10, () => 25);
    expect(standsAt(still, 8.5)).toBeUndefined();
    expect(standsAt(still, 8)).toBe(25);
  });
  it('that hunts for half a minute is read as it is', () => {
    const creeping = (t: number) => t;
    expect(standsAt(sampled(29, creeping), 0)).toBeUndefined();
    expect(standsAt(sampled(31, creeping), 0)).toBeCloseTo(30.5, 0);
  });
});
