import { expect, it } from 'vitest';
import { niceTop, plotPath } from './plot';

it.each([
  [0, 1],
  [0.9, 1],
  [251, 300],
  [100, 100],
  [101, 150],
  [760, 1000],
  [3.2, 5],
])('an axis for %d ends at %d', (most, top) => {
  expect(niceTop(most)).toBeCloseTo(top, 9);
});
it('a curve runs from the lower left corner to its ends', () => {
  const box = { width: 200, height: 100, right: 10, top: 50 };
  expect(
    plotPath(
      [
        [0, 0],
        [5, 25],
        [10, 50],
      ],
      box,
    ),
  ).toBe('M0.0 100.0L100.0 50.0L200.0 0.0');
  expect(plotPath([], box)).toBe('');
});
