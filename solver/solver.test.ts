import {
  boundsOf,
  byWindows,
  faultsOf,
  instanceOf,
  instant,
  proveWeek,
  readWeek,
  weekPlan,
  type Week,
} from '@dusk-wren/core/schedule';
import { shopWeek } from '@dusk-wren/core/testing/shop-weeks';
import { must } from '@dusk-wren/core/problem';
import { FT06, LA01, weekOf } from '@dusk-wren/core/testing/job-shops';
import { describe, expect, it } from 'vitest';
import { nodeSolver } from './node';

const SECONDS = 100;
async function proved(week: Week) {
  const by = performance.now() + SECONDS * 1000;
  const plan = must(await proveWeek(week, nodeSolver, { left: () => (by - performance.now()) / 1000 }));
  expect(faultsOf(week, plan.operations)).toEqual([]);
  return plan;
}

/** Shortest ends as published; that of FT10 is proved by `npm run bench`, for it takes a minute. */
describe.each([FT06, LA01])('$name', (shop) => {
  it(`is proved to take ${shop.best}, which its simple bound alone does not say of all`, async () => {
    const week = weekOf(shop);
    expect(boundsOf(must(instanceOf(week))).end).toBeLessThanOrEqual(shop.best);
    expect(await proved(week)).toMatchObject({
      end: shop.best,
      objective: shop.best,
      bound: shop.best,
      gap: 0,
    });
  });
});

describe('a week with people, shifts and dates', () => {
  const week = (more: object = {}): Week =>
    must(
      readWeek({
        places: [{ id: 'lathe' }, { id: 'bench', count: 2 }],
        people: [
          {
            id: 'Ada',
            skills: ['turn', 'fit'],
            open: [
              [0, 240],
              [270, 510],
              [1440, 1680],
            ],
          },
          {
            id: 'Bo',
            skills: ['fit'],
            open: [
              [0, 240],
              [1440, 1680],
            ],
          },
        ],
        jobs: ['a', 'b', 'c'].map((id, i) => ({
          id,
          due: 300 + 60 * i,
          weight: i + 1,
          operations: [
            { id: 'strip', minutes: 90, place: 'bench', skill: 'fit' },
            { id: 'turn', minutes: 80, place: 'lathe', skill: 'turn', wait: 30 },
            { id: 'build', minutes: 60, place: 'bench', skill: 'fit' },
          ],
        })),
        ...more,
      }),
    );
  it('is proved to the end: nothing is left between objective and bound', async () => {
    const plan = await proved(week());
    expect(plan.gap).toBe(0);
    expect(plan.objective).toBeGreaterThan(0);
  });
  it('is proved too where place and person are seldom there together, long after all the work would take', async () => {
    const rare = (id: string, from: number) => ({
      id,
      open: Array.from({ length: 40 }, (_, k) => [100 * k + from, 100 * k + from + 12]),
    });
    const plan = await proved(
      must(
        readWeek({
          places: [rare('rig', 0)],
          people: [{ ...rare('Ada', 10), skills: ['test'] }],
          jobs: [1, 2].map((id) => ({
            id,
            due: 10 * id,
            operations: [{ id: 0, minutes: 5, place: 'rig', skill: 'test' }],
          })),
        }),
      ),
    );
    // Two minutes of each hundred: the first is over at 211, the other at 412.
    expect(plan).toMatchObject({ objective: plan.bound, gap: 0 });
    expect(plan.operations.map(({ end }) => end)).toEqual([211, 412]);
  });
  it('weights that are not whole are planned by, and nothing is proved of them', async () => {
    const plan = await proved(
      must(
        readWeek({
          places: [{ id: 'rig' }],
          people: [],
          jobs: [0.4, 0.00001].map((weight, id) => ({
            id,
            due: 50,
            weight,
            operations: [{ id: 0, minutes: 40, place: 'rig' }],
          })),
        }),
      ),
    );
    expect(plan.objective).toBeCloseTo(30 * 0.00001, 12);
    expect(plan.bound).toBeLessThanOrEqual(plan.objective);
  });
  it('one machine, four jobs: the least weighted lateness, as trying every order shows', async () => {
    const jobs = [
      { minutes: 54, due: 1, weight: 3 },
      { minutes: 30, due: 80, weight: 2 },
      { minutes: 71, due: 100, weight: 4 },
      { minutes: 12, due: 60, weight: 1 },
    ];
    const orders = (left: readonly number[]): number[][] =>
      left.length === 0
        ? [[]]
        : left.flatMap((first) =>
            orders(left.filter((each) => each !== first)).map((rest) => [first, ...rest]),
          );
    const lateOf = (order: readonly number[]) => {
      let end = 0;
      return order.reduce((sum, index) => {
        const job = jobs[index];
        end += job?.minutes ?? 0;
        return sum + (job ? job.weight * Math.max(0, end - job.due) : 0);
      }, 0);
    };
    const least = Math.min(...orders([0, 1, 2, 3]).map(lateOf));
    const plan = await proved(
      must(
        readWeek({
          places: [{ id: 'rig' }],
          people: [],
          jobs: jobs.map(({ minutes, due, weight }, id) => ({
            id,
            due,
            weight,
            operations: [{ id: 0, minutes, place: 'rig' }],
          })),
        }),
      ),
    );
    expect(plan).toMatchObject({ objective: least, bound: least, gap: 0 });
  });
});

describe('a week that searching finds no plan of', () => {
  it('is proved to have none, or planned', async () => {
    const tight = (minutes: number) =>
      must(
        readWeek({
          places: [
            {
              id: 'p',
              open: [
                [0, 100],
                [200, 250],
              ],
            },
          ],
          people: [],
          jobs: [60, 50, minutes].map((each, id) => ({
            id,
            operations: [{ id: 0, minutes: each, place: 'p' }],
          })),
        }),
      );
    expect((await proved(tight(40))).end).toBe(250);
    const none = await proveWeek(tight(41), nodeSolver, { left: () => SECONDS });
    expect(none).toMatchObject({ ok: false, problem: { kind: 'impossible' } });
  });
});

describe('a week too large to be solved as a whole', () => {
  it('is bettered by windows of it, every rule kept', async () => {
    const loose = shopWeek(40);
    const week = {
      ...loose,
      jobs: loose.jobs.map((job) => ({ ...job, due: Math.round(0.3 * (job.due ?? 0)) })),
    };
    const instance = must(instanceOf(week));
    const first = must(instant(instance, { puts: 0, isOver: () => false }));
    expect(first.score.late).toBeGreaterThan(first.bounds.late);
    const by = performance.now() + SECONDS * 1000;
    let isBetter = false;
    const last = await byWindows(instance, first, nodeSolver, {
      left: () => (isBetter ? 0 : (by - performance.now()) / 1000),
      heard: () => (isBetter = true),
    });
    expect(faultsOf(week, weekPlan(instance, last).operations)).toEqual([]);
    expect([last.score.hard, last.score.late]).not.toEqual([first.score.hard, first.score.late]);
    expect(last.score.hard).toBeLessThanOrEqual(first.score.hard);
  });
});

describe('the solver itself', () => {
  it('answers a model, and says what is wrong with one that is none', async () => {
    const model = (wanted: string) =>
      `array[1..1] of var 3..9: s :: add_to_output; array[1..1] of var 1..1: r :: add_to_output; solve ${wanted};`;
    const heard: number[] = [];
    const outcome = await nodeSolver.run(model('minimize s[1]'), SECONDS, ({ s }) => heard.push(...s));
    expect(outcome).toBe('best');
    expect(heard.at(-1)).toBe(3);
    await expect(nodeSolver.run('solve nonsense', SECONDS, () => undefined)).rejects.toThrow(
      'the solver failed',
    );
    expect(await nodeSolver.run(model('satisfy') + ' constraint s[1] > 9;', SECONDS, () => undefined)).toBe(
      'none',
    );
  });
});
