import { describe, expect, it } from 'vitest';
import { PLANTED_FAULTS, sickValve, type PlantedFault } from '.';

const FULL = { signal: { at: 1, from: 'below' } } as const;
const HALF = { signal: { at: 0.5, from: 'below' } } as const;
const HALF_FROM_ABOVE = { signal: { at: 0.5, from: 'above' } } as const;
const SHUT = { signal: 'shuts' } as const;
const SEEDS = Array.from({ length: 30 }, (_, i) => 101 + 37 * i);

/** A figure of many valves of a kind, averaged: one alone is noisy. */
const mean = (
  fault: PlantedFault,
  read: (of: ReturnType<typeof sickValve>) => number,
  dead = false,
): number => SEEDS.reduce((sum, seed) => sum + read(sickValve(fault, seed, { dead })), 0) / SEEDS.length;

describe('a simulated valve with something planted in it', () => {
  it('a seed gives the same valve and the same noise', () => {
    for (const fault of PLANTED_FAULTS) expect(sickValve(fault, 7)(FULL)).toEqual(sickValve(fault, 7)(FULL));
    expect(sickValve('debris', 7)(FULL)).not.toEqual(sickValve('debris', 8)(FULL));
  });

  it('no gauge reads below zero, no travel beyond its stops', () => {
    for (const fault of PLANTED_FAULTS)
      for (const seed of SEEDS)
        for (const situation of [FULL, HALF, SHUT]) {
          const gauges = sickValve(fault, seed)(situation);
          for (const [name, value] of Object.entries(gauges))
            if (typeof value === 'number') expect(value, `${fault} ${name}`).toBeGreaterThanOrEqual(0);
          expect(gauges.stroke).toBeLessThan(104);
        }
  });

  it('a sound chain of air: 9 psi and friction at half signal on 3–15 psi (handbook part 3)', () => {
    const actuator = mean('seat worn', (read) => read(HALF).actuator);
    expect(actuator).toBeGreaterThan(9);
    expect(actuator).toBeLessThan(10.5);
    expect(mean('seat worn', (read) => read(HALF).stroke)).toBeCloseTo(50, -1);
  });

  it('hysteresis is twice the friction: a tight gland shows it, a slack one does not', () => {
    const width = (fault: PlantedFault, slacked = false) =>
      mean(fault, (read) => {
        const how = slacked ? { with: 'gland slacked' as const } : {};
        return read({ ...HALF, ...how }).actuator - read({ ...HALF_FROM_ABOVE, ...how }).actuator;
      });
    expect(width('packing too tight')).toBeGreaterThan(8);
    expect(width('packing too tight', true)).toBeLessThan(3);
    expect(width('guides galled')).toBeGreaterThan(8);
    expect(width('guides galled', true), 'slacking the gland does not free guides').toBeGreaterThan(8);
    expect(width('seat worn')).toBeLessThan(3);
  });

  it.each([
    ['supply low', (read) => read(FULL).supply, 18],
    ['signal lost', (read) => read(FULL).signal, 85],
    ['flapper dirty', (read) => read(FULL).actuator, 13],
    ['relay faulty', (read) => read(FULL).actuator, 13],
    ['diaphragm torn', (read) => read(FULL).actuator, 13],
  ] as const satisfies readonly (readonly [
    PlantedFault,
    (read: ReturnType<typeof sickValve>) => number,
    number,
  ])[])('%s: its gauge stands below what is wanted', (fault, read, wanted) => {
    expect(mean(fault, read)).toBeLessThan(wanted);
    expect(mean('seat worn', read)).toBeGreaterThan(wanted);
  });

  it('half travel is half travel: each fault that gives it stops the stem short at full signal or at shut', () => {
    const faults = ['supply low', 'diaphragm torn', 'relay faulty', 'bottom guide blocked'] as const;
    for (const fault of faults) {
      const short = mean(fault, (read) => read(FULL).stroke) < 80;
      const stuck = mean(fault, (read) => read(SHUT).open) > 20;
      expect(short || stuck, fault).toBe(true);
    }
  });

  it('a valve that air shuts stops short at full signal, one that air opens at none: the same dirt under the plug', () => {
    const standing = (closesByAir: boolean) => {
      const read = sickValve('bottom guide blocked', 11, { closesByAir });
      return [read(FULL).stroke, read(SHUT).open].map((each) => each ?? NaN);
    };
    const [shutByAir, openByAir] = [standing(true), standing(false)];
    expect(shutByAir[0]).toBeLessThan(65);
    expect(openByAir[0]).toBeGreaterThan(95);
    for (const [, open] of [shutByAir, openByAir]) expect(open).toBeGreaterThan(35);
  });

  it('sound, it shuts whichever way its air works, and stands half open at half signal', () => {
    for (const closesByAir of [true, false]) {
      const read = sickValve('seat worn', 5, { closesByAir });
      expect(read(SHUT).open).toBeLessThan(4);
      expect(read(HALF).open).toBeGreaterThan(35);
      expect(read(HALF).open).toBeLessThan(65);
    }
  });

  it('the flapper held by hand gives full air past a dirty flapper, not past a bad relay', () => {
    const byHand = (fault: PlantedFault) =>
      mean(fault, (read) => read({ ...FULL, with: 'flapper held by hand' }).actuator);
    expect(byHand('flapper dirty')).toBeGreaterThan(18);
    expect(byHand('relay faulty')).toBeLessThan(13);
  });

  it('debris goes with a flush, wear does not; a plug coupled short holds once it is run down', () => {
    const leak = (fault: PlantedFault, how?: 'flushed' | 'run down by the lock nuts') =>
      mean(fault, (read) => read(how ? { ...SHUT, with: how } : SHUT).leak);
    expect(leak('debris', 'flushed')).toBeLessThan(0.4 * leak('debris'));
    expect(leak('seat worn', 'flushed')).toBeGreaterThan(0.8 * leak('seat worn'));
    expect(leak('coupled short', 'run down by the lock nuts')).toBeLessThan(0.2 * leak('coupled short'));
    expect(leak('seat worn', 'run down by the lock nuts')).toBeGreaterThan(0.8 * leak('seat worn'));
  });

  it('the loop in manual steadies a loop, less gain steadies a positioner, neither frees a stem', () => {
    const swing = (fault: PlantedFault, how?: 'loop in manual' | 'gain turned down') =>
      mean(fault, (read) => read(how ? { ...HALF, with: how } : HALF).swing);
    expect(swing('oversize or process')).toBeGreaterThan(5);
    expect(swing('oversize or process', 'loop in manual')).toBeLessThan(2);
    expect(swing('gain too high', 'loop in manual')).toBeGreaterThan(5);
    expect(swing('gain too high', 'gain turned down')).toBeLessThan(2);
    expect(swing('packing too tight', 'gain turned down')).toBeGreaterThan(3);
  });

  it('air that leaks is felt where it leaks: breather for diaphragm and piston, seals for their own', () => {
    expect(mean('diaphragm torn', (read) => read(HALF).breather)).toBeGreaterThan(15);
    expect(mean('piston ring leaks', (read) => read(HALF).breather)).toBeGreaterThan(15);
    expect(mean('cylinder seals leak', (read) => read(HALF).sealLeak)).toBeGreaterThan(10);
    expect(mean('seat worn', (read) => read(HALF).breather)).toBeLessThan(4);
  });

  it('dead means dead: with no supply, no signal or a torn diaphragm at its worst nothing moves', () => {
    for (const fault of ['supply low', 'signal lost', 'diaphragm torn', 'relay faulty'] as const)
      expect(
        mean(fault, (read) => read(FULL).stroke, true),
        fault,
      ).toBeLessThan(10);
  });

  it('a lock is seen, and holds the stem where it is', () => {
    const locked = sickValve('lock engaged', 3);
    expect(locked(FULL).lockEngaged).toBe(true);
    expect(Math.abs(locked(FULL).stroke - locked(SHUT).open)).toBeLessThan(5);
    expect(sickValve('debris', 3)(FULL).lockEngaged).toBe(false);
  });
});
