import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { faultsOf, planWeek, readWeek, weekFile } from '..';
import { NO_CLOCK } from '../engine/instant';
import { fitInto } from './fits';
import { byRisk, type Candidate } from './risk';

describe('the order of an outage', () => {
  const order = (...candidates: Candidate[]) => byRisk(candidates).map(({ id }) => id);
  it('is by how badly it was found: what does not open before what leaks, what was good last', () => {
    expect(
      order(
        { id: 'good', found: 'good', spare: false },
        { id: 'leaks', found: 'leaking', spare: false },
        { id: 'never seen', spare: false },
        { id: 'stuck', found: 'stuck', spare: true },
        { id: 'dirty', found: 'dirty', spare: false },
      ),
    ).toEqual(['stuck', 'leaks', 'dirty', 'never seen', 'good']);
  });
  it('then by how soon it is due, then by whether a spare stands in for it', () => {
    expect(
      order(
        { id: 'none', spare: false },
        { id: 'later', dueInDays: 90, spare: false },
        { id: 'over', dueInDays: -20, spare: true },
        { id: 'over, and no spare', dueInDays: -20, spare: false },
      ),
    ).toEqual(['over, and no spare', 'over', 'later', 'none']);
  });
});

describe('what fits a window', () => {
  const DAY = 1440;
  const open = [0, 1, 2].map((day): [number, number] => [day * DAY, day * DAY + 480]);
  const week = must(
    readWeek({
      places: [{ id: 'bench', open }],
      people: [{ id: 'Avis', skills: ['bench'], open }],
      jobs: [
        { id: 'own', due: 480, operations: [{ id: 'strip', minutes: 240, place: 'bench', skill: 'bench' }] },
      ],
    }),
  );
  const jobs = (minutes: readonly number[]) =>
    weekFile
      .parse({
        places: [],
        people: [],
        jobs: minutes.map((each, i) => ({
          id: `V-${i + 1}`,
          operations: [{ id: 'strip', minutes: each, place: 'bench', skill: 'bench' }],
        })),
      })
      .jobs.map((job) => ({ job, spares: [] }));
  const stands = must(planWeek(week)).operations;
  const budget = { ...NO_CLOCK, puts: 20_000 };
  it('is taken in order for as long as all is over in it; a smaller one that comes later may fit yet', () => {
    // The window is the second day: 480 minutes of one bench.
    const { fits, left, plan } = fitInto(
      week,
      stands,
      jobs([300, 200, 150]),
      { from: DAY, to: DAY + 480 },
      budget,
    );
    expect(fits).toEqual(['V-1', 'V-3']);
    // 300 are taken of 480: 200 more end 20 minutes after it, and by then it is night.
    expect(left).toEqual([{ id: 'V-2', over: DAY - 480 + 20, others: [] }]);
    expect(plan.filter(({ job }) => job !== 'own').every(({ start }) => start >= DAY)).toBe(true);
    expect(
      faultsOf(
        {
          ...week,
          jobs: [...week.jobs, ...jobs([300, 0, 150]).flatMap(({ job }, i) => (i === 1 ? [] : [job]))],
        },
        plan,
      ),
    ).toEqual([]);
  });
  it('moves nothing of the shop’s own', () => {
    const { fits, left, plan } = fitInto(week, stands, jobs([300]), { from: 0, to: 480 }, budget);
    // Its 240 minutes come first: of 300 more, 60 are left for the next day.
    expect([fits, left]).toEqual([[], [{ id: 'V-1', over: DAY + 60 - 480, others: [] }]]);
    expect(plan).toEqual(stands);
    expect(fitInto(week, stands, jobs([240]), { from: 0, to: 480 }, budget).fits).toEqual(['V-1']);
  });
  it('has the spare of what does not fit done before it, as far as the shop has the time', () => {
    const spared = (minutes: readonly number[], spares: readonly string[]) =>
      fitInto(
        week,
        stands,
        jobs(minutes).map(({ job }) => ({ job, spares })),
        { from: DAY, to: DAY + 480 },
        budget,
      );
    // Before the second day there are the 240 minutes that the shop's own job leaves of the first.
    const { fits, before, left } = spared([480, 200, 100], ['S-1', 'S-2']);
    expect([fits, before, left.map(({ id }) => id)]).toEqual([
      ['V-1'],
      [{ id: 'V-2', spare: 'S-1' }],
      ['V-3'],
    ]);
    // And one spare stands in for one valve: the second of two small ones stays.
    const one = spared([480, 100, 100], ['S-1']);
    expect([one.before, one.left.map(({ id }) => id)]).toEqual([[{ id: 'V-2', spare: 'S-1' }], ['V-3']]);
  });
});
