import { expect, it } from 'vitest';
import { stepResponse } from '.';

/** A lag of the first order behind a dead time, or one of the second that overshoots; a step from 45 to 55 % at 2 s. */
const read = (answer: (t: number) => number) =>
  Array.from({ length: 300 }, (_, i) => {
    const seconds = i / 10;
    return { seconds, value: 45 + 10 * (seconds <= 2 ? 0 : answer(seconds - 2)) };
  });

it.each([
  [0.5, 0],
  [1, 0.4],
  [2, 1],
])(
  'a lag of %f s behind %f s: T63 is both, T86 twice the lag and the dead time (first-order lag)',
  (tau, dead) => {
    const found = stepResponse(
      read((t) => (t < dead ? 0 : 1 - Math.exp(-(t - dead) / tau))),
      2,
    );
    expect(found?.t63).toBeCloseTo(tau + dead, 1);
    expect(found?.t86).toBeCloseTo(2 * tau + dead, 1);
    expect(found?.deadTime).toBeGreaterThan(dead - 0.1);
    expect(found?.deadTime).toBeLessThan(dead + 0.15);
    expect(found?.overshoot).toBe(0);
  },
);

it.each([0.3, 0.5, 0.7])(
  'damped by %f it runs past by exp(−πζ/√(1−ζ²)) of the step (second-order system)',
  (damping) => {
    const root = Math.sqrt(1 - damping ** 2);
    const found = stepResponse(
      read(
        (t) =>
          1 -
          Math.exp(-damping * 4 * t) * (Math.cos(4 * root * t) + (damping / root) * Math.sin(4 * root * t)),
      ),
      2,
    );
    const expected = 100 * Math.exp((-Math.PI * damping) / root);
    expect(Math.abs((found?.overshoot ?? 0) - expected)).toBeLessThan(1);
  },
);

it('what never moved has no response', () => {
  expect(
    stepResponse(
      read(() => 0),
      2,
    ),
  ).toBeUndefined();
});
