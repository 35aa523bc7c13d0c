import { describe, expect, it } from 'vitest';
import { huntsBy, standsAt } from './standing';

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

describe('a travel that hunts (handbook part 6.4: higher gain is quicker and hunts)', () => {
  const hunting = (wide: number) => sampled(6, (t) => 50 + (wide / 2) * Math.sin((2 * Math.PI * t) / 0.6));
  it('goes to and fro, and by how much is said', () => {
    expect(huntsBy(hunting(2), 0)).toBeCloseTo(2, 0);
  });
  it('is not one that stands in its noise, nor one that goes somewhere, nor one just disturbed', () => {
    expect(huntsBy(hunting(0.2), 0)).toBeUndefined();
    expect(
      huntsBy(
        sampled(6, (t) => 10 * t),
        0,
      ),
    ).toBeUndefined();
    expect(huntsBy(hunting(2), 3)).toBeUndefined();
  });
});
