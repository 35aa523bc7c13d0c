import { psig, seconds, valueIn } from '@dusk-wren/core/quantity';
import { describe, expect, it } from 'vitest';
import { popsOfFile, testOfFile } from './pressure-of-file';

const file = (heading: string, rows: readonly (readonly number[])[]) =>
  new TextEncoder().encode([heading, ...rows.map((row) => row.join(','))].join('\n'));
/** Pumped up to where it pops, falls to where it shuts, and again: five readings a second. */
const popping = (...pops: readonly number[]) =>
  pops
    .flatMap((pop) => [
      ...Array.from({ length: 50 }, (_, i) => (0.8 + 0.004 * i) * pop),
      ...[pop, 0.95 * pop, 0.92 * pop],
    ])
    .map((pressure, i) => [100 + i / 5, pressure]);

describe('pops out of a file', () => {
  it('each has its own curve, from where the one before had shut', () => {
    const made = popsOfFile('three.csv', file('time (s),pressure (psi)', popping(151, 149, 150)));
    if (typeof made === 'string') throw new Error(made);
    expect(made.curves.map((curve) => Math.max(...curve.map((each) => each.psig)))).toEqual([151, 149, 150]);
    expect(made.curves.map(([first]) => first?.seconds)).toEqual([0, 0, 0]);
  });
  it('shut where it stood: the pressure that is let go afterwards is none of the valve', () => {
    const [tail] = [[...Array.from({ length: 12 }, () => 137.5), 90, 40, 0]];
    const rows = [...popping(150), ...tail.map((at, i) => [110.6 + i / 5, at])];
    const made = popsOfFile('vented.csv', file('time (s),pressure (psi)', rows));
    if (typeof made === 'string') throw new Error(made);
    expect(made.curves).toHaveLength(1);
    expect(made.curves[0]?.at(-1)?.psig).toBe(137.5);
  });
  it('are read in the unit of their heading', () => {
    const rows = popping(10).map(([at = 0, pressure = 0]) => [at / 60, pressure]);
    const made = popsOfFile('one.csv', file('Time [min],Pressure [bar]', rows));
    if (typeof made === 'string') throw new Error(made);
    // 10 bar are 145.04 psi.
    expect(Math.max(...(made.curves[0] ?? []).map((each) => each.psig))).toBeCloseTo(145.04, 2);
    expect(made.curves[0]?.at(-1)?.seconds).toBeCloseTo(10.4, 6);
  });
  it.each([
    [
      'that never opens',
      file('time (s),pressure (psi)', [
        [0, 1],
        [1, 2],
        [2, 3],
      ]),
      /Nothing opened/,
    ],
    ['without time', file('travel (mm),pressure (psi)', popping(150)), /lacks a column for time/],
    [
      'whose time goes backwards',
      file('time (s),pressure (psi)', popping(150).toReversed()),
      /goes backwards/,
    ],
    ['without numbers', new TextEncoder().encode('the rig was cold'), /no CSV with a header line/],
  ])('one %s is said', (_what, bytes, why) => {
    expect(popsOfFile('a.csv', bytes)).toMatch(why);
  });
});

describe('a pressure test out of a file', () => {
  const asked = { pressure: psig(300), hold: seconds(15) };
  const rows = (...pressures: readonly number[]) =>
    file(
      't (s),p (bar)',
      pressures.map((p, i) => [i, p]),
    );
  it('is as long as it was held at what is asked, drawn whole', () => {
    // 21 bar are 304.6 psi.
    const made = testOfFile('hold.csv', rows(0, 10, ...Array.from({ length: 18 }, () => 21), 3), asked);
    if (typeof made === 'string') throw new Error(made);
    expect(valueIn(made.held, 's')).toBe(15);
    expect(valueIn(made.pressure, 'psig')).toBeCloseTo(304.58, 2);
    expect(made.samples).toHaveLength(21);
  });
  it('that never gets there is said', () => {
    expect(testOfFile('low.csv', rows(0, 10, 20, 20), asked)).toMatch(/never held at what this test asks/);
  });
});
