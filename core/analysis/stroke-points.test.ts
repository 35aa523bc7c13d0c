import { describe, expect, it } from 'vitest';
import { strokeLoop, strokePoints } from '.';

/** A ramp there and back of so many samples; what travel is off its signal going up and coming down, percent. */
const ramp = (up: number, down: number, samples = 4000, top = 1) => {
  const [time, signal, travel] = [0, 1, 2].map(() => new Float64Array(samples)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let i = 0; i < samples; i++) {
    const share = (2 * i) / (samples - 1);
    signal[i] = top * (share < 1 ? share : 2 - share);
    time[i] = i / 20;
    travel[i] = (signal[i] ?? 0) + (share < 1 ? up : down) / 100;
  }
  return { time, signal, travel, pressure: new Float64Array(samples) };
};
const FIVE = [0, 25, 50, 75, 100];

describe('a recording in place of the points (handbook part 6.5)', () => {
  it('what travel was off, up and down, stands in every point', () => {
    const points = strokePoints(ramp(-0.4, 0.6), FIVE);
    if (typeof points === 'string') throw new Error(points);
    expect(points.map(({ signal }) => signal)).toEqual(FIVE);
    for (const { signal, up, down } of points.slice(0, -1)) {
      expect(up - signal).toBeCloseTo(-0.4, 2);
      expect(down - signal).toBeCloseTo(0.6, 2);
    }
  });
  it('a travel in metres is a share of the rated one', () => {
    const { travel, ...rest } = ramp(0, 0);
    const points = strokePoints({ ...rest, travel: travel.map((share) => share * 0.038) }, FIVE, 0.038);
    if (typeof points === 'string') throw new Error(points);
    for (const { signal, up, down } of points) {
      expect(up).toBeCloseTo(signal, 6);
      expect(down).toBeCloseTo(signal, 6);
    }
  });
  it('says why there are no points: no signal in it, or not all the way', () => {
    const { signal, ...rest } = ramp(0, 0);
    expect(signal.length).toBe(4000);
    expect(strokePoints(rest, FIVE)).toBe('no signal');
    expect(strokePoints(ramp(0, 0, 4000, 0.9), FIVE)).toBe('not all the way');
  });
  it('its loop is kept in no more samples than asked, there and back', () => {
    const loop = strokeLoop(ramp(-0.4, 0.6), 500);
    expect(loop.signal.length).toBeLessThanOrEqual(500);
    expect(loop.travel).toHaveLength(loop.signal.length);
    expect(Math.max(...loop.signal)).toBeGreaterThan(99);
    const off = loop.signal.map((at, i) => (loop.travel[i] ?? 0) - at);
    expect(off[100]).toBeCloseTo(-0.4, 2);
    expect(off.at(-100)).toBeCloseTo(0.6, 2);
  });
});
