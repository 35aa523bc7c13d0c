import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { psig } from '../../quantity';
import { PART_CATALOGUE } from '../../valve';
import { exerciseOf, marksOf, ticketFor, type Level } from '..';
import { fitOrNot, sums } from './fit-or-not';
import { inTheBag } from './in-the-bag';
import { blowdownOf, BLOWDOWN, onTheRig, opensNext, setIt, type SetIt } from './set-it';
import { leastTurns, screwed, whichScrew } from './which-screw';

describe('what is in the bag', () => {
  const bag = (seed: number) =>
    must(exerciseOf(inTheBag, ticketFor('in-the-bag', 3, seed, 'control-balanced-cage')));
  it('seats come in no kit (common practice); what is on the sheet for another kit is not wanted', () => {
    const { items, kit } = bag(1);
    const never = items.filter(({ pile }) => pile === 'never in a kit').map(({ part }) => part);
    expect(never).toContain('seat ring');
    for (const { line, pile } of items)
      if (line) expect(pile === 'not wanted').toBe(!line.kits.includes(kit));
  });
  it('every bag is short of something, and what is short is renewed at every overhaul', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const missing = bag(seed).items.filter(({ pile }) => pile === 'missing');
      expect(missing.length).toBeGreaterThan(0);
      for (const { part, line, counted } of missing) {
        expect(PART_CATALOGUE[part].policy).toBe('renew always');
        expect(counted).toBeLessThan(line?.quantity ?? 0);
      }
    }
  });
});

describe('turn which screw', () => {
  const positioner = (seed: number, level: Level = 1) =>
    must(exerciseOf(whichScrew, ticketFor('which-screw', level, seed, 'control-ball-in-venturi')));
  it('zero moves every point as much, span the further the more (common practice)', () => {
    const off = { zero: 1, span: 0, nozzle: 0 };
    const exercise = { ...positioner(1), off };
    const first = screwed(exercise, [{ do: 'stroke' }]).strokes[0]?.travel.map(
      ({ asked, signal }) => asked - signal,
    );
    expect(new Set(first?.map((each) => each.toFixed(6))).size).toBe(1);
    const spanned = screwed({ ...exercise, off: { zero: 0, span: 1, nozzle: 0 } }, [{ do: 'stroke' }]);
    const by = spanned.strokes[0]?.travel.map(({ asked, signal }) => Math.abs(asked - signal)) ?? [];
    expect(by).toEqual([...by].sort((a, b) => a - b));
  });
  it('half as many turns again as the least are as good; three times as many are worth none', () => {
    const exercise = { ...positioner(1), off: { zero: 1, span: 0, nozzle: 0 } };
    expect(leastTurns(exercise)).toBe(1);
    const moves = (over: number) => [
      { do: 'turn' as const, screw: 'zero' as const, by: -1 - over },
      { do: 'turn' as const, screw: 'zero' as const, by: over },
      { do: 'stroke' as const },
      { do: 'done' as const },
    ];
    expect(marksOf(whichScrew.mark(exercise, moves(0.25)), 0).score).toBe(1);
    const many = whichScrew.mark(exercise, moves(1)).find(({ what }) => what === 'In few turns');
    expect(many?.points).toBe(0);
  });
});

describe('set it', () => {
  const rig = (level: Level, seed: number): SetIt =>
    must(exerciseOf(setIt, ticketFor('set-it', level, seed, 'relief-spring')));
  const sound = rig(1, 2);
  const raise = (share: number) => ({
    do: 'raise' as const,
    to: psig(Math.round(sound.coldSet.value * share)),
  });

  it('it is set cold: set less constant back pressure, by the factor for temperature (ASME BPVC XIII)', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const { set, backPressure, temperatureFactor, coldSet } = rig(3, seed);
      expect(Math.abs(coldSet.value - (set.value - backPressure.value) * temperatureFactor)).toBeLessThan(1);
    }
  });
  it('nothing is turned with more than three quarters of set under it, nothing pumped over half again (handbook part 6)', () => {
    const turned = [raise(0.8), { do: 'turn' as const, by: 0.25 }];
    expect(onTheRig({ ...sound, off: 0.3 }, turned).breaches).toContain('turned under pressure');
    expect(onTheRig({ ...sound, off: 0.3 }, [raise(0.7), { do: 'turn', by: 0.25 }]).breaches.size).toBe(0);
    expect(onTheRig({ ...sound, off: 0.7 }, [raise(1.55)]).breaches).toContain('over');
    expect(onTheRig({ ...sound, off: 0.7 }, [raise(1.45)]).breaches.size).toBe(0);
  });
  it('a gag is taken out before it is pumped, or it is not passed', () => {
    const gagged = { ...sound, gagged: true };
    const without = setIt.best(gagged).filter(({ do: what }) => what !== 'gag off');
    expect(marksOf(setIt.mark(gagged, without), 0).passed).toBe(false);
    expect(marksOf(setIt.mark(gagged, setIt.best(gagged)), 0).score).toBe(1);
  });
  it('it opens where the pump finds that it does; a gagged one never', () => {
    const fresh = onTheRig(sound, []);
    const [pop] = onTheRig(sound, [raise(1.45)]).pops;
    expect(opensNext(sound, fresh)?.value).toBeCloseTo(pop?.popped.value ?? 0, 1);
    expect(opensNext(sound, { ...fresh, gagged: true })).toBeUndefined();
  });
  it('three pops in a row are wanted, with nothing turned between', () => {
    const two = setIt.best(sound);
    const last = two.findLastIndex(({ do: what }) => what === 'raise');
    const pops = setIt
      .mark(
        sound,
        two.filter((_, i) => i !== last),
      )
      .find(({ what }) => what.startsWith('Three pops'));
    expect(pops?.points).toBe(0);
  });
  it('a lower ring shortens, a turn clockwise raises (common practice)', () => {
    const pop = (notches: number, by: number) =>
      onTheRig({ ...sound, huddling: 0.4 }, [{ do: 'ring', by: notches }, { do: 'turn', by }, raise(1.45)])
        .pops[0];
    const [long, short, high] = [pop(0, 0), pop(-8, 0), pop(0, 1)];
    if (!long || !short || !high) throw new Error('it did not pop');
    expect(blowdownOf(short)).toBeLessThan(blowdownOf(long));
    expect(blowdownOf(long)).toBeGreaterThan(BLOWDOWN.most);
    expect(high.popped.value).toBeGreaterThan(long.popped.value);
  });
});

describe('fit or not', () => {
  it('both sums of the worked example: 800 to repair, 1 985 to renew (handbook part 4)', () => {
    const prices = {
      ...{ hours: 6, rate: 85, consumables: 40, waitDays: 1, price: 900, leadDays: 10 },
      ...{ spareDays: 6, delayCost: 250, fittingHours: 1 },
    };
    expect(sums({ ...prices, spareDays: 0 }).repair).toBe(800);
    expect(sums(prices).renew).toBe(1985);
  });
  const some = (level: Level) =>
    Array.from({ length: 40 }, (_, seed) =>
      must(exerciseOf(fitOrNot, ticketFor('fit-or-not', level, seed + 1, 'globe-bolted'))),
    );
  it('what may be reworked is renewed where that is cheaper, and never where it cannot come out', () => {
    const dearer = some(4).filter(({ rule, verdict }) => rule.verdict === 'rework' && verdict === 'renew');
    expect(dearer.length).toBeGreaterThan(0);
    for (const { prices } of dearer) expect(sums(prices).renew).toBeLessThan(sums(prices).repair);
    const body = some(4).filter(({ part }) => part === 'body');
    expect(body.length).toBeGreaterThan(0);
    for (const { verdict } of body) expect(verdict).not.toBe('renew');
  });
  it('money within a tenth is right, the call alone does not pass', () => {
    const exercise = some(1).find(({ cost }) => cost > 0);
    if (!exercise) throw new Error('none that costs');
    const score = (share: number) =>
      marksOf(fitOrNot.mark(exercise, [{ verdict: exercise.verdict, cost: exercise.cost * share }]), 0).score;
    expect([score(1.09), score(0.91), score(1.12)]).toEqual([1, 1, 0.6]);
  });
});
