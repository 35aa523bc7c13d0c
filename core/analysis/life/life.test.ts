import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { median, poissonQuantile, sensLine, survivalOf, weibullOf } from '.';

/** 6-MP against placebo in leukaemia, weeks in remission (Freireich and others 1963), as it is published. */
const LEUKAEMIA = {
  failures: [6, 6, 6, 7, 10, 13, 16, 22, 23],
  running: [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35],
};
describe('the line by the median of slopes (Sen 1968)', () => {
  it('handbook part 7.1: a seat that loses stock', () => {
    const days = [0, 400, 800, 1200, 1600];
    const line = sensLine([0.06, 0.0565, 0.0525, 0.0485, 0.0455].map((y, i) => ({ x: days[i] ?? 0, y })));
    expect(line?.slope).toBeCloseTo(-9.271e-6, 9);
    const meets = ({ slope, intercept }: { slope: number; intercept: number }) => (0.03 - intercept) / slope;
    expect(line && [line, line.low, line.high].map(meets).map(Math.round)).toEqual([3236, 3050, 3371]);
  });
  it('one wild point moves it little', () => {
    const straight = [0, 1, 2, 3, 4, 5, 6].map((x) => ({ x, y: 2 * x + 1 }));
    const wild = straight.map((point, i) => (i === 3 ? { ...point, y: 400 } : point));
    expect(sensLine(straight)).toMatchObject({ slope: 2, intercept: 1 });
    expect(sensLine(wild)?.slope).toBeCloseTo(2, 12);
  });
  it('points at one time have no slope', () => {
    expect(
      sensLine([
        { x: 3, y: 1 },
        { x: 3, y: 2 },
      ]),
    ).toBeUndefined();
    expect(sensLine([])).toBeUndefined();
  });
  it('turned over it is turned over, moved it is moved (property)', () => {
    const point = fc.record({ x: fc.integer({ min: 0, max: 50 }), y: fc.integer({ min: -50, max: 50 }) });
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 9 }), (points) => {
        const line = sensLine(points);
        const over = sensLine(points.map(({ x, y }) => ({ x, y: 7 - y })));
        if (!line || !over) return;
        expect(over.slope).toBeCloseTo(-line.slope, 9);
        expect(over.low.slope).toBeCloseTo(-line.high.slope, 9);
        expect(line.low.slope).toBeLessThanOrEqual(line.slope + 1e-12);
        expect(line.high.slope).toBeGreaterThanOrEqual(line.slope - 1e-12);
      }),
      { seed: 5 },
    );
  });
  it('the median of an even count is between the two in the middle', () => {
    expect([median([3, 1]), median([5, 1, 3]), median([7])]).toEqual([2, 3, 7]);
    expect(median([])).toBeNaN();
  });
});

describe('what outlives an age (Kaplan and Meier 1958)', () => {
  it('handbook part 7.1: the published leukaemia data', () => {
    const steps = survivalOf(LEUKAEMIA);
    expect(steps.map(({ age }) => age)).toEqual([6, 7, 10, 13, 16, 22, 23]);
    const published = [0.857, 0.807, 0.753, 0.69, 0.627, 0.538, 0.448];
    steps.forEach(({ survival }, i) => expect(survival).toBeCloseTo(published[i] ?? NaN, 3));
  });
  it('with nothing still running it is the share that is left; it never rises (property)', () => {
    expect(survivalOf({ failures: [1, 2, 3, 4], running: [] }).map(({ survival }) => survival)).toEqual(
      [0.75, 0.5, 0.25, 0].map((each) => expect.closeTo(each, 12) as number),
    );
    const ages = fc.array(fc.integer({ min: 1, max: 30 }), { maxLength: 20 });
    fc.assert(
      fc.property(ages, ages, (failures, running) => {
        const steps = survivalOf({ failures, running }).map(({ survival }) => survival);
        expect(steps.every((each, i) => each >= 0 && each <= (steps[i - 1] ?? 1))).toBe(true);
      }),
      { seed: 6 },
    );
  });
});

describe('a Weibull life (Lawless 2003)', () => {
  it('handbook part 7.1: the published leukaemia data', () => {
    const life = weibullOf(LEUKAEMIA);
    expect(life?.shape).toBeCloseTo(1.354, 3);
    expect(life?.scale).toBeCloseTo(33.77, 2);
    expect(Math.abs((life?.b10 ?? 0) - 6.4)).toBeLessThan(0.0051);
    expect([life?.shapeLow, life?.shapeHigh].map((each) => each?.toFixed(3))).toEqual(['0.856', '2.140']);
  });
  it('finds the life that ages are the quantiles of', () => {
    const [count, shape, scale] = [2000, 2.5, 500];
    const ages = Array.from(
      { length: count },
      (_, i) => scale * (-Math.log(1 - (i + 0.5) / count)) ** (1 / shape),
    );
    const life = weibullOf({
      failures: ages.filter((age) => age < 600),
      running: ages.filter((age) => age >= 600).map(() => 600),
    });
    expect(life?.shape).toBeCloseTo(shape, 1);
    expect((life?.scale ?? 0) / scale).toBeCloseTo(1, 2);
    expect(shape).toBeGreaterThan(life?.shapeLow ?? Infinity);
    expect(shape).toBeLessThan(life?.shapeHigh ?? 0);
  });
  it('says nothing of ages that bound no shape', () => {
    expect(weibullOf({ failures: [], running: [3] })).toBeUndefined();
    expect(weibullOf({ failures: [5, 5, 5, 5, 5, 5, 5, 5], running: [] })).toBeUndefined();
  });
  it('in another unit of time it is the same life (property)', () => {
    const ages = fc.array(fc.integer({ min: 1, max: 999 }), { minLength: 8, maxLength: 12 });
    fc.assert(
      fc.property(ages, fc.integer({ min: 2, max: 4000 }), (failures, times) => {
        const life = weibullOf({ failures, running: [500] });
        const other = weibullOf({ failures: failures.map((age) => age * times), running: [500 * times] });
        if (!life || !other) return;
        expect(other.shape / life.shape).toBeCloseTo(1, 6);
        expect(other.scale / life.scale / times).toBeCloseTo(1, 6);
      }),
      { seed: 7 },
    );
  });
});

describe('how many to keep', () => {
  it.each([
    [(12 * 30) / 365, 3],
    [(4 * 60) / 365, 2],
    [(24 * 45) / 365, 6],
    [(0.5 * 90) / 365, 1],
    [0, 0],
  ])('a mean of %f is not passed with 95 %% by so many: %i (handbook part 7.1)', (mean, kept) =>
    expect(poissonQuantile(mean, 0.95)).toBe(kept),
  );
  it('of hundreds it is near the normal distribution', () => {
    // 400 + 1.645·20 = 432.9; the exact quantile of Poisson(400) at 95 % is 433 (tables).
    expect(poissonQuantile(400, 0.95)).toBe(433);
  });
});
