import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { photographBluedSeat, USUAL_SCENE, type BluedSeatScene } from '../../simulation';
import { ask, refusal } from '../../testing/ask';
import { readBluingPicture, type RingArc } from '.';

/** Small enough to be quick, large enough for a degree to be several pixels. */
const [WIDE, HIGH] = [560, 420];
const RADIUS = USUAL_SCENE.radius * WIDE;
const photograph = (scene: Partial<BluedSeatScene>) =>
  photographBluedSeat({ ...USUAL_SCENE, width: WIDE, height: HIGH, ...scene });
const read = (scene: Partial<BluedSeatScene>) => {
  const reading = readBluingPicture(photograph(scene));
  if (!reading) throw new Error('no ring was found');
  return reading;
};
/** Difference of two angles, degrees, the short way round. */
const apart = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);
const covers = (gap: RingArc | undefined, from: number, degrees: number) =>
  gap !== undefined && apart(gap.from, from) <= 1 && apart(gap.to, from + degrees) <= 1;

describe('a ring with known gaps (generated pictures)', () => {
  it('3° and wider are found within ± 1°, wherever they are and whatever their width (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 3, max: 60 }),
        fc.integer({ min: 1, max: 1000 }),
        (from, degrees, seed) => {
          const { gaps } = read({ gaps: [{ from, degrees }], seed, noise: 12 });
          expect(gaps).toHaveLength(1);
          expect(covers(gaps[0], from, degrees)).toBe(true);
        },
      ),
      { seed: 1, numRuns: 15 },
    );
  });
  it('several gaps, one over 12 o’clock, largest first', () => {
    const { gaps, continuity } = read({
      gaps: [
        { from: 100, degrees: 3 },
        { from: 355, degrees: 10 },
        { from: 200, degrees: 5 },
      ],
    });
    expect(gaps.map(({ degrees }) => Math.round(degrees))).toEqual([10, 5, 3]);
    expect(covers(gaps[0], 355, 10)).toBe(true);
    expect(continuity).toBeCloseTo(342 / 360, 2);
  });
  it.each([0, 5, 10, 15, 20, 25])('a whole ring at noise %d of 255 has no false gap', (noise) => {
    for (const seed of [1, 2]) expect(read({ noise, seed }).gaps).toEqual([]);
  });
  it.each([0, 0.3, 0.6, 0.75])('a light that falls off by %d changes neither ring nor gap', (gradient) => {
    const { gaps, circle } = read({ gradient, gaps: [{ from: 140, degrees: 4 }] });
    expect(covers(gaps[0], 140, 4) && gaps.length === 1).toBe(true);
    expect(circle.radius).toBeCloseTo(RADIUS, -0.5);
  });
  it('the ring is found off the centre and at other sizes', () => {
    for (const [x, y, radius] of [
      [0.6, 0.42, 0.2],
      [0.35, 0.3, 0.22],
      [0.5, 0.38, 0.33],
    ] as const) {
      const { circle } = read({ x, y, radius, gaps: [{ from: 20, degrees: 30 }] });
      expect(Math.hypot(circle.x - x * WIDE, circle.y - y * WIDE)).toBeLessThan(3);
      expect(circle.radius / (radius * WIDE)).toBeCloseTo(1, 1);
    }
  });
  it('half a ring is enough to find it', () => {
    const { gaps, continuity } = read({ gaps: [{ from: 0, degrees: 180 }] });
    expect(covers(gaps[0], 0, 180)).toBe(true);
    expect(continuity).toBeCloseTo(0.5, 2);
  });
  it('glare hides the line: neither gap nor contact', () => {
    const { gaps, hidden, continuity } = read({ glare: { from: 300, degrees: 20 } });
    expect(gaps).toEqual([]);
    expect(covers(hidden[0], 300, 20)).toBe(true);
    expect(continuity).toBe(1);
  });
  it('the width of the line is that drawn, within a pixel or two', () => {
    const { widthMean } = read({ line: 0.08, noise: 4 });
    expect(Math.abs(widthMean - 0.08 * RADIUS)).toBeLessThan(2);
    expect(read({ line: 0.1 }).widthMean).toBeGreaterThan(read({ line: 0.04 }).widthMean);
  });
});

it('a circle drawn by hand chooses between two rings', () => {
  const [left, right] = [
    photograph({ x: 0.27, radius: 0.16 }),
    photograph({ x: 0.73, radius: 0.16, gaps: [{ from: 90, degrees: 20 }] }),
  ];
  const both = {
    ...left,
    data: left.data.map((value, i) => ((i / 4) % WIDE < WIDE / 2 ? value : (right.data[i] ?? 0))),
  };
  const chosen = readBluingPicture(both, { x: 0.73 * WIDE, y: HIGH / 2, radius: 0.165 * WIDE });
  expect(chosen && Math.abs(chosen.circle.x - 0.73 * WIDE)).toBeLessThan(3);
  expect(chosen?.gaps).toHaveLength(1);
  const other = readBluingPicture(both, { x: 0.27 * WIDE, y: HIGH / 2, radius: 0.155 * WIDE });
  expect(other?.gaps).toEqual([]);
});

it('no blue, no ring', () => {
  expect(readBluingPicture(photograph({ gaps: [{ from: 0, degrees: 360 }] }))).toBeUndefined();
  expect(readBluingPicture({ width: 40, height: 40, data: new Uint8ClampedArray(6400) })).toBeUndefined();
});

it('any picture at all is read or left (property)', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 16, max: 60 }),
      fc.integer({ min: 16, max: 60 }),
      fc.integer(),
      (width, height, seed) => {
        let state = seed >>> 0;
        const data = Uint8ClampedArray.from(
          { length: 4 * width * height },
          () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) >>> 24,
        );
        const reading = readBluingPicture({ width, height, data });
        expect(reading === undefined || (reading.continuity >= 0 && reading.continuity <= 1)).toBe(true);
      },
    ),
    { seed: 2, numRuns: 40 },
  );
});

describe('bluing.read', () => {
  it('turns pixels into lengths by the seat diameter', () => {
    const picture = photograph({ gaps: [{ from: 62, degrees: 6 }], noise: 4 });
    const asked = ask('bluing.read', { picture, diameter: '3 in' });
    expect(asked.in('continuity', '%')).toBeCloseTo((354 / 360) * 100, 0);
    expect(asked.in('widthMean', 'in') / (0.05 * 1.5)).toBeCloseTo(1, 0);
    expect(asked.result['verdict']).toBe('broken');
    const metric = ask('bluing.read', { picture, diameter: '76.2 mm' });
    expect(metric.in('widthMean', 'in')).toBeCloseTo(asked.in('widthMean', 'in'), 9);
    expect(metric.quantity('widthMean').unit).toBe('mm');
  });
  it.each([
    [{ line: 0.03, noise: 3 }, 'fit'],
    [{ line: 0.09, noise: 3 }, 'wide'],
    [{ line: 0.03, noise: 3, glare: { from: 10, degrees: 12 } }, 'ask'],
  ] as const)('%j: %s', (scene, verdict) => {
    expect(ask('bluing.read', { picture: photograph(scene), diameter: '3 in' }).result['verdict']).toBe(
      verdict,
    );
  });
  it.each([
    [{ picture: photograph({ gaps: [{ from: 0, degrees: 360 }] }), diameter: '3 in' }, 'input.conflict'],
    [{ picture: { width: 100, height: 100, data: [1, 2, 3] }, diameter: '3 in' }, 'input.invalid'],
    [{ picture: 'a seat', diameter: '3 in' }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('bluing.read', raw).code).toBe(code);
  });
});
