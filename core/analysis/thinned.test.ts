import fc from 'fast-check';
import { expect, it } from 'vitest';
import { thinned } from './thinned';

it('keeps ends, highest and lowest, in order, and no more than it may (property)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 3000 }),
      fc.integer({ min: 8, max: 500 }),
      (values, most) => {
        const kept = thinned(values, most);
        const shown = kept.map((i) => values[i] ?? NaN);
        expect(kept.length).toBeLessThanOrEqual(most);
        expect(kept).toEqual([...new Set(kept)].sort((a, b) => a - b));
        expect([kept[0], kept.at(-1)]).toEqual([0, values.length - 1]);
        expect(Math.max(...shown)).toBe(Math.max(...values));
        expect(Math.min(...shown)).toBe(Math.min(...values));
      },
    ),
    { seed: 5 },
  );
});
it('a short curve is kept whole', () => {
  expect(thinned([3, 1, 2], 500)).toEqual([0, 1, 2]);
});
