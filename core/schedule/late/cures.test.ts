import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { faultsOf, instanceOf, readWeek, type Week } from '..';
import { curesOf, type Means } from './cures';
import { instant, NO_CLOCK } from '../engine/instant';
import { lateJobs } from './why-late';

const DAY = 1440;
/** Two days from eight to half past four; now is eight. */
const hours = [0, 1].map((day): [number, number] => [day * DAY, day * DAY + 510]);
const lathe = (jobs: object[], more: object = {}): Week =>
  must(
    readWeek({
      places: [{ id: 'lathe', open: hours }],
      people: [{ id: 'Avis', skills: ['lathe'], open: hours }],
      jobs,
      ...more,
    }),
  );
const turn = (id: string, minutes: number, due: number, more: object = {}) => ({
  id,
  due,
  operations: [{ id: 'turn', minutes, place: 'lathe', skill: 'lathe' }],
  ...more,
});
const evening = { person: 'Avis', from: 510, to: 690 };
const NOTHING: Means = { evenings: [], parts: [], rate: 60 };

function lateOf(week: Week) {
  const instance = must(instanceOf(week));
  const solved = must(instant(instance, NO_CLOCK));
  return { solved, late: lateJobs(instance, solved.plan) };
}

describe('why a job is late', () => {
  it('is the chain of what it waited for, back to now', () => {
    const { late } = lateOf(lathe([turn('a', 300, 300, { hard: true }), turn('b', 200, 480)]));
    expect(late.map(({ job, minutes }) => [job.id, minutes])).toEqual([['b', 20]]);
    const [{ chain } = { chain: [] }] = late;
    expect(chain.map(({ placed, waitedFor }) => [placed.task.job.id, waitedFor.kind])).toEqual([
      ['b', 'taken'],
      ['a', 'nothing'],
    ]);
  });
  it('names closed hours between, and what was waited for by the clock', () => {
    const part = { id: 'part', minutes: 600, after: [] };
    const { late } = lateOf(
      lathe([
        {
          id: 'a',
          due: 900,
          operations: [part, { id: 'turn', minutes: 60, place: 'lathe', skill: 'lathe' }],
        },
      ]),
    );
    expect(late[0]?.minutes).toBe(DAY + 60 - 900);
    expect(
      late[0]?.chain.map(({ placed, waitedFor, closed }) => [placed.task.id, waitedFor.kind, closed]),
    ).toEqual([
      ['turn', 'follows', DAY - 600],
      ['part', 'nothing', 0],
    ]);
  });
  it('is asked of nobody who is on time; dates that nothing moves come first', () => {
    expect(lateOf(lathe([turn('a', 300, 300)])).late).toEqual([]);
    const { late } = lateOf(lathe([turn('a', 100, 10), turn('b', 100, 90, { hard: true })]));
    expect(late.map(({ job }) => job.id)).toEqual(['b', 'a']);
  });
});

describe('cures', () => {
  const cures = (week: Week, means: Means) => {
    const { solved, late } = lateOf(week);
    const [first] = late;
    if (!first) throw new Error('nothing is late');
    const found = curesOf(week, solved.plan, first, means, { ...NO_CLOCK, puts: 20_000 });
    for (const cure of found) {
      expect(faultsOf(cure.week, cure.plan)).toEqual([]);
      expect(cure.lateAfter).toBeLessThan(cure.lateBefore);
    }
    return found;
  };
  it('overtime of who it waited for, with its price', () => {
    const [cure] = cures(lathe([turn('a', 400, 510), turn('b', 200, 700)]), {
      ...NOTHING,
      evenings: [evening],
    });
    expect(cure).toMatchObject({
      change: { kind: 'overtime', person: 'Avis' },
      lateBefore: DAY + 90 - 700,
      lateAfter: 0,
      price: 180,
      made: [],
    });
  });
  it('a part that comes sooner, by as few days as cure it', () => {
    const waits = { id: 'part', minutes: 2 * DAY - 100, after: [] };
    const week = lathe(
      [
        {
          id: 'a',
          due: DAY + 600,
          operations: [waits, { id: 'turn', minutes: 60, place: 'lathe', skill: 'lathe' }],
        },
      ],
      { places: [{ id: 'lathe' }], people: [{ id: 'Avis', skills: ['lathe'] }] },
    );
    const [cure] = cures(week, { ...NOTHING, parts: [{ job: 'a', id: 'part', perDay: 40 }] });
    expect(cure).toMatchObject({ change: { kind: 'part sooner', days: 1 }, lateAfter: 0, price: 40 });
  });
  it('going before another, with who becomes late by it', () => {
    const week = lathe([turn('a', 200, 200, { weight: 3 }), turn('b', 200, 300)]);
    const [cure] = cures(week, NOTHING);
    expect(cure).toMatchObject({
      change: { kind: 'goes first', job: 'b', before: 'a' },
      lateAfter: 0,
      made: [{ job: 'a', minutes: 200 }],
      price: 0,
      moved: 1,
    });
  });
  it('a second shift of a lathe that is waited for, where one evening is too little', () => {
    const three = [0, 1, 2].map((day): [number, number] => [day * DAY, day * DAY + 510]);
    const week = lathe([turn('a', 700, DAY + 400, { hard: true }), turn('b', 700, DAY + 720)], {
      places: [{ id: 'lathe', open: three }],
      people: ['Avis', 'Bo'].map((id) => ({ id, skills: ['lathe'], open: three })),
    });
    const evenings = ['Avis', 'Bo'].flatMap((person) =>
      [0, DAY].map((midnight) => ({ person, from: midnight + 510, to: midnight + 720 })),
    );
    const [cure, ...others] = cures(week, { ...NOTHING, evenings });
    expect(cure).toMatchObject({
      change: {
        kind: 'second shift',
        place: 'lathe',
        evenings: [
          [510, 720],
          [DAY + 510, DAY + 720],
        ],
      },
      lateAfter: 0,
      price: 420,
    });
    expect(others.every(({ change, lateAfter }) => change.kind !== 'overtime' || lateAfter > 0)).toBe(true);
  });
  it('nothing that takes less than a tenth of the lateness', () => {
    const evenings = [{ ...evening, to: 530 }];
    const found = cures(lathe([turn('a', 400, 510, { hard: true }), turn('b', 200, 700)]), {
      ...NOTHING,
      evenings,
    });
    // Twenty minutes of 830: what is left is going before the other.
    expect(found.map(({ change }) => change.kind)).not.toContain('overtime');
  });
  it('three at the most, those that cure it wholly first', () => {
    const evenings = [evening, { ...evening, to: 594 }, { ...evening, to: 598 }];
    const found = cures(lathe([turn('a', 400, 510), turn('b', 200, 700)]), { ...NOTHING, evenings });
    expect(found).toHaveLength(3);
    expect(found.map(({ lateAfter }) => lateAfter > 0)).toEqual([false, false, true]);
  });
});
