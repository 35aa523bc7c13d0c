import { describe, expect, it } from 'vitest';
import { readBluingPicture } from '../../analysis';
import { must } from '../../problem';
import { quantity, thou, valueIn } from '../../quantity';
import { photographBluedSeat } from '../../simulation';
import { CROSS_PATTERNS } from '../../standards';
import { crossPattern, stemRunout } from '../../workings';
import { exerciseOf, marksOf, ticketFor, type Level } from '..';
import { allowedNext, boltedUp, boltIt, settingFor, type BoltIt } from './bolt-it';
import { matched, readTheRing, WITHIN } from './read-the-ring';
import { dialAt, HIGH_WITHIN, straightOrBent, wholeTurn } from './straight-or-bent';

describe('read the ring', () => {
  const ring = (level: Level, seed: number) =>
    must(exerciseOf(readTheRing, ticketFor('read-the-ring', level, seed, 'gate-wedge')));

  it('what the shop’s own reader of photographs sees is what is to be marked', () => {
    const [broken, told] = [new Set<number>(), new Set<number>()];
    for (let seed = 1; seed <= 12; seed++) {
      const exercise = ring(2, seed);
      const read = readBluingPicture(photographBluedSeat(exercise.scene));
      const gaps = read?.gaps ?? [];
      // What nobody can tell, it finds no ring in, or doubts.
      if (exercise.call === 'blue it again') expect(read?.doubts, `seed ${seed}`).not.toEqual([]);
      else {
        told.add(seed);
        if (gaps.length > 0) broken.add(seed);
        expect(matched(exercise, gaps).found, `seed ${seed}`).toHaveLength(exercise.gaps.length);
        expect(gaps, `seed ${seed}`).toHaveLength(exercise.gaps.length);
      }
    }
    expect(broken.size).toBeGreaterThan(2);
    expect(told.size).toBeGreaterThan(broken.size);
  });
  it.each([
    [WITHIN - 1, 1],
    [WITHIN + 1, 0],
  ])('ends marked %i° off: %i found (handbook part 7: ± 10°)', (off, count) => {
    const exercise = must(
      exerciseOf(readTheRing, {
        ...ticketFor('read-the-ring', 1, 1, 'gate-wedge'),
        planted: { call: 'lap again', gaps: [{ from: 350, degrees: 40 }] },
      }),
    );
    expect(matched(exercise, [{ from: (350 + off) % 360, degrees: 40 }]).found).toHaveLength(count);
  });
  it('a gap too many costs as much as one not found', () => {
    const exercise = must(
      exerciseOf(readTheRing, {
        ...ticketFor('read-the-ring', 1, 1, 'gate-wedge'),
        planted: { call: 'lap again', gaps: [{ from: 20, degrees: 40 }] },
      }),
    );
    const marks = readTheRing.mark(exercise, [
      { do: 'mark', gaps: [...exercise.gaps, { from: 200, degrees: 20 }] },
      { do: 'call', call: 'lap again' },
    ]);
    expect(marks.find(({ what }) => what === 'The gaps')?.points).toBe(25);
  });
});

describe('straight or bent', () => {
  const stem = (seed: number, level: Level = 2) =>
    must(exerciseOf(straightOrBent, ticketFor('straight-or-bent', level, seed, 'globe-bolted')));

  it('highest less lowest is what the working of a real job calls the runout', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const exercise = stem(seed);
      const readings = Array.from({ length: 36 }, (_, i) => dialAt(exercise, 10 * i));
      const { tir } = must(stemRunout.work({ readings })).result;
      expect(Math.abs(wholeTurn(exercise).tir - valueIn(tir, 'thou'))).toBeLessThan(0.1);
    }
  });
  it.each([
    [0.24, 0, true],
    [0.26, 0, false],
    [0, HIGH_WITHIN - 1, true],
    [0, HIGH_WITHIN + 1, false],
  ])('%d thou and %d° off: all the marks %s', (off, turn, full) => {
    const exercise = stem(3);
    const { tir, high } = wholeTurn(exercise);
    const told = { do: 'say', tir: thou(tir + off), high: (high + turn) % 360, call: exercise.call } as const;
    expect(marksOf(straightOrBent.mark(exercise, [told]), 0).score === 1).toBe(full);
  });
});

describe('bolt it', () => {
  const joint = (bolts: number): BoltIt => {
    const exercise = must(exerciseOf(boltIt, ticketFor('bolt-it', 1, 1, 'globe-bolted')));
    const round = Array.from({ length: bolts }, (_, i) => i + 1);
    const cross = crossPattern(bolts);
    return {
      ...exercise,
      bolts,
      passes: [
        { percent: 100, torque: exercise.torque, order: cross },
        { percent: 100, torque: exercise.torque, order: round },
      ],
    };
  };
  it.each(Object.entries(CROSS_PATTERNS).filter(([bolts]) => Number(bolts) <= 16))(
    'the published cross pattern of %s bolts is right (ASME PCC-1), begun anywhere and either way round',
    (count, order) => {
      const bolts = Number(count);
      const exercise = {
        ...joint(bolts),
        passes: [
          { percent: 100, torque: joint(bolts).torque, order: [...order] },
          ...joint(bolts).passes.slice(1),
        ],
      };
      for (const way of [1, -1])
        for (const from of [0, 1, 3]) {
          const as = order.map((bolt) => (((((bolt - 1) * way + from) % bolts) + bolts) % bolts) + 1);
          as.forEach((bolt, i) => {
            expect(allowedNext(exercise, 0, as.slice(0, i)), `${as.join('-')} at ${i}`).toContain(bolt);
          });
        }
    },
  );
  it('the neighbour of the first is not next, the one opposite is', () => {
    expect(allowedNext(joint(8), 0, [1])).toEqual([5]);
    expect(allowedNext(joint(8), 0, [1, 5])).toEqual(expect.arrayContaining([3, 7]));
    expect(allowedNext(joint(8), 0, [1, 5])).not.toContain(2);
  });
  it('the last pass goes round, one way', () => {
    expect(allowedNext(joint(8), 1, [3])).toEqual([4, 2]);
    expect(allowedNext(joint(8), 1, [3, 4])).toEqual([5]);
    expect(allowedNext(joint(8), 1, [1, 8])).toEqual([7]);
  });
  it('with a crow-foot the wrench is set lower: 100 lbf·ft, 18 in and 2.5 in give 87.8 (handbook part 3)', () => {
    const crowFoot = { wrench: quantity('length', 18, 'in'), adapter: quantity('length', 2.5, 'in') };
    expect(settingFor({ ...joint(8), crowFoot }, quantity('torque', 100, 'lbf·ft')).value).toBeCloseTo(
      87.8,
      1,
    );
  });
  it('a bolt whose click came early is pulled again before the next', () => {
    const exercise = { ...joint(4), early: [{ pass: 0, bolt: 1 }] };
    const set = { do: 'set' as const, to: exercise.torque };
    const pull = (bolt: number) => ({ do: 'pull' as const, bolt });
    expect(boltedUp(exercise, [set, pull(1)]).owed).toBe(1);
    expect(boltedUp(exercise, [set, pull(1), pull(3)]).pulls.at(-1)?.verdict).toBe('left an early one');
    expect(boltedUp(exercise, [set, pull(1), pull(1), pull(3)]).tight).toEqual([1, 3]);
  });
});
