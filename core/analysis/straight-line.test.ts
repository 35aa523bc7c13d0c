import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leastDeviation, leastSquares, throughEnds } from '.';

describe('leastSquares', () => {
  it('agrees with a published set (Anscombe 1973, first quartet: y = 3.00 + 0.500 x)', () => {
    const xs = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5];
    const ys = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
    const { slope, intercept } = leastSquares(xs, ys);
    expect(slope).toBeCloseTo(0.5, 3);
    expect(intercept).toBeCloseTo(3.0, 2);
  });
  it('finds the line that points lie on, wherever its zero is (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 50, noNaN: true }),
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        (slope, intercept) => {
          const xs = [1e5, 1e5 + 1, 1e5 + 2, 1e5 + 5];
          const found = leastSquares(
            xs,
            xs.map((x) => slope * (x - 1e5) + intercept),
          );
          expect(found.slope).toBeCloseTo(slope, 5);
        },
      ),
      { seed: 1 },
    );
  });
  it('is level when nothing changes', () => {
    expect(leastSquares([2, 2, 2], [1, 2, 3]).slope).toBe(0);
  });
});

describe('leastDeviation', () => {
  const points = fc.array(
    fc.record({ x: fc.integer({ min: 0, max: 100 }), y: fc.double({ min: -5, max: 5, noNaN: true }) }),
    { minLength: 3, maxLength: 12 },
  );
  it('no other line does better (property: against a search over slopes)', () => {
    fc.assert(
      fc.property(points, fc.double({ min: -3, max: 3, noNaN: true }), (given, slope) => {
        fc.pre(new Set(given.map(({ x }) => x)).size > 1);
        const offsets = given.map(({ x, y }) => y - slope * x);
        const other = (Math.max(...offsets) - Math.min(...offsets)) / 2;
        expect(leastDeviation(given).deviation).toBeLessThanOrEqual(other + 1e-9);
      }),
      { seed: 2 },
    );
  });
  it('touches at least three points with alternating sign (Chebyshev)', () => {
    const given = [0, 1, 2, 3, 4].map((x) => ({ x, y: x * x }));
    const { slope, intercept, deviation } = leastDeviation(given);
    const off = given.map(({ x, y }) => y - slope * x - intercept);
    expect(off.filter((each) => Math.abs(Math.abs(each) - deviation) < 1e-9).length).toBeGreaterThanOrEqual(
      3,
    );
    expect(throughEnds(given).deviation).toBeCloseTo(4, 9);
    expect(deviation).toBeCloseTo(2, 9);
  });
});
