import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findPops } from '../analysis';
import { psig, valueIn } from '../quantity';
import { chance, opensAt, reliefRun, REPEATS_WITHIN, reseatShare, type ReliefCondition } from '.';

const SOUND: ReliefCondition = { screwOff: 0, dirt: 0, turns: 0, perTurn: 0.04, huddling: 0.2 };
const run = (set: number, change: Partial<ReliefCondition> = {}, seed = 1, opened = true) => {
  const samples = [
    ...reliefRun({ set: psig(set), condition: { ...SOUND, ...change }, opened }, chance(seed)),
  ];
  return {
    seconds: samples.map(({ seconds }) => seconds),
    psi: samples.map(({ pressure }) => valueIn(pressure, 'psig')),
  };
};
const popsOf = ({ seconds, psi }: ReturnType<typeof run>) => findPops(seconds, psi);

describe('a relief valve on the rig', () => {
  it('opens where nozzle force and spring are equal, pop after pop within its scatter (handbook part 6.6)', () => {
    const pops = Array.from({ length: 40 }, (_, i) => popsOf(run(250, {}, i + 1))[0]?.pop ?? 0);
    const mean = pops.reduce((sum, each) => sum + each, 0) / pops.length;
    const deviation = Math.sqrt(pops.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (pops.length - 1));
    expect(Math.abs(mean / 250 - 1)).toBeLessThan(0.003);
    expect(deviation / mean).toBeGreaterThan(REPEATS_WITHIN / 2);
    expect(deviation / mean).toBeLessThan(2 * REPEATS_WITHIN);
  });
  it('shuts lower the higher its rings: (1 + 0.6 h) / (1 + h) of the spring (balance of forces on the open disc)', () => {
    for (const huddling of [0.1, 0.2, 0.35]) {
      const [pop] = popsOf(run(400, { huddling }));
      expect((pop?.reseat ?? 0) / (pop?.pop ?? 1)).toBeCloseTo(reseatShare(huddling), 2);
    }
    expect(1 - reseatShare(0.2)).toBeCloseTo(0.0667, 4);
  });
  it('stuck by dirt it opens late the first time and right the second (handbook part 6.6: deposits)', () => {
    const first = popsOf(run(250, { dirt: 0.08 }, 3, false))[0];
    const second = popsOf(run(250, { dirt: 0.08 }, 3, true))[0];
    expect(first?.pop).toBeGreaterThan(265);
    expect(Math.abs((second?.pop ?? 0) / 250 - 1)).toBeLessThan(0.01);
  });
  it('stuck shut, the pressure goes no further than half again its set', () => {
    const stuck = run(250, { dirt: 0.7 }, 1, false);
    expect(popsOf(stuck)).toEqual([]);
    expect(Math.max(...stuck.psi)).toBeLessThan(250 * 1.52);
    expect(Math.max(...stuck.psi)).toBeGreaterThan(250 * 1.48);
  });
  it('a turn of its screw moves it by what a turn does', () => {
    const moved = popsOf(run(250, { turns: 0.5 }, 4))[0]?.pop ?? 0;
    const before = popsOf(run(250, {}, 4))[0]?.pop ?? 0;
    expect(moved - before).toBeCloseTo(5, 0);
    expect(valueIn(opensAt(psig(250), { ...SOUND, screwOff: 0.05, turns: -1 }), 'psig')).toBeCloseTo(
      252.5,
      6,
    );
  });
  it('open, it empties the rig as every vessel through an orifice: by the same share in the same time', () => {
    const { seconds, psi } = run(500, { huddling: 0.6 }, 2);
    const [pop] = findPops(seconds, psi);
    const fall = (from: number, to: number) =>
      Math.log((psi[(pop?.at ?? 0) + from] ?? 1) / (psi[(pop?.at ?? 0) + to] ?? 1)) /
      ((seconds[(pop?.at ?? 0) + to] ?? 0) - (seconds[(pop?.at ?? 0) + from] ?? 0));
    expect(fall(1, 4)).toBeCloseTo(1 / 2.5, 1);
    expect(fall(2, 6)).toBeCloseTo(fall(1, 4), 1);
  });
});

describe('pops found in a record of pressure', () => {
  it('pop, reseat and simmer of what the rig really did (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.integer({ min: 30, max: 3000 }),
        fc.double({ min: -0.08, max: 0.08, noNaN: true }),
        (seed, set, screwOff) => {
          const [found, ...more] = popsOf(run(set, { screwOff }, seed));
          const truth = set * (1 + screwOff);
          expect(more).toEqual([]);
          expect(Math.abs((found?.pop ?? 0) / truth - 1)).toBeLessThan(0.015);
          expect(Math.abs((found?.reseat ?? 0) / (truth * reseatShare(0.2)) - 1)).toBeLessThan(0.03);
        },
      ),
      { seed: 14, numRuns: 60 },
    );
  });
  it('simmer is heard two per cent under the pop, where there is any', () => {
    for (const set of [150, 250, 800]) {
      const [found] = popsOf(run(set, { screwOff: 0.02 }, 7));
      expect((found?.simmer ?? 0) / (found?.pop ?? 1)).toBeGreaterThan(0.96);
      expect((found?.simmer ?? 0) / (found?.pop ?? 1)).toBeLessThan(0.995);
    }
  });
  it('a pump that is stopped, a vent that is opened slowly, noise and nothing at all are no pops', () => {
    const seconds = Array.from({ length: 200 }, (_, i) => i * 0.1);
    expect(
      findPops(
        seconds,
        seconds.map((t) => Math.min(100, 10 * t)),
      ),
    ).toEqual([]);
    expect(
      findPops(
        seconds,
        seconds.map((t) => (t < 10 ? 10 * t : 100 - 0.5 * (t - 10))),
      ),
    ).toEqual([]);
    expect(
      findPops(
        seconds,
        seconds.map((_, i) => 100 + (i % 2) * 0.3),
      ),
    ).toEqual([]);
    expect(findPops([], [])).toEqual([]);
  });
  it('several in one record are told apart', () => {
    const one = run(250, {}, 1);
    const two = run(250, {}, 2);
    const last = (one.seconds.at(-1) ?? 0) + 0.05;
    const pops = findPops([...one.seconds, ...two.seconds.map((t) => t + last)], [...one.psi, ...two.psi]);
    expect(pops).toHaveLength(2);
  });
});
