import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { plan } from '../../plan';
import { BenchJob } from '../../testing/bench';
import { faultsOf, planWeek } from '..';
import { operationsOf } from './job-operations';
import { jobInWeek, type ShopJob } from './job-in-week';
import {
  findingOfWeek,
  openOn,
  workSkillsOf,
  weekOfShop,
  type OpenDay,
  type Shop,
  type WeekHours,
} from './shop';

const SHIFT = [
  [480, 720],
  [750, 990],
] as const;
const HOURS: WeekHours = [SHIFT, SHIFT, SHIFT, SHIFT, [[480, 780]], [], []];
/** Ten days from Monday, 7 December 2026; now is Monday, ten o'clock. */
const DAYS: readonly OpenDay[] = Array.from({ length: 10 }, (_, i) => ({
  day: new Date(Date.UTC(2026, 11, 7 + i)).toISOString().slice(0, 10),
  weekday: i % 7,
  midnight: 1440 * i - 600,
}));

describe('hours', () => {
  it('are stretches from now: what is over is left out, what runs is cut', () => {
    const open = openOn(DAYS, HOURS, new Set());
    expect(open.slice(0, 3)).toEqual([
      [0, 120],
      [150, 390],
      [1320, 1560],
    ]);
  });
  it('leave out holidays, and what the weekday has not', () => {
    const friday = openOn(DAYS, HOURS, new Set(['2026-12-08', '2026-12-09', '2026-12-10']));
    expect(friday[2]).toEqual([4 * 1440 - 120, 4 * 1440 + 180]);
    expect(friday[3]?.[0]).toBe(7 * 1440 - 120);
  });
});

it('who releases holds does not strip valves, but for a lead who is noted for a bench', () => {
  expect(workSkillsOf({ role: 'technician', skills: ['Machining', 'welding'] })).toEqual(['bench', 'lathe']);
  expect(workSkillsOf({ role: 'inspector', skills: [] })).toEqual(['inspector']);
  expect(workSkillsOf({ role: 'lead', skills: ['relief'] })).toEqual(['relief', 'inspector']);
  expect(workSkillsOf({ role: 'lead', skills: ['Bench'] })).toEqual(['bench', 'inspector']);
});

describe('a shop and a job as a week', () => {
  const people = [
    { id: 'ines', role: 'technician', skills: ['lathe', 'field'], away: [], extra: [] },
    { id: 'noor', role: 'inspector', skills: [], away: ['2026-12-08'], extra: [] },
  ] as const;
  const shop: Shop = {
    hours: HOURS,
    holidays: [],
    places: (['bench', 'lathe', 'lapping', 'test rig'] as const).map((kind) => ({
      kind,
      count: 1,
      hours: HOURS,
    })),
    people,
  };
  const job = new BenchJob().workTo('inspect.runout');
  const current = must(plan(job.state));
  if (!current) throw new Error('no plan');
  const operations = operationsOf(current, job.state);
  const asked = (more: Partial<ShopJob> = {}): ShopJob => ({
    id: 'HV',
    due: '2026-12-11',
    hard: false,
    weight: 1,
    factor: () => 1,
    operations,
    ...more,
  });
  it('is planned by who is there and can', () => {
    const week = weekOfShop(shop, [asked()], DAYS);
    const made = must(planWeek(week));
    expect(faultsOf(week, made.operations)).toEqual([]);
    const holds = made.operations.filter(({ id }) => String(id).startsWith('hold'));
    expect(holds.length).toBeGreaterThan(0);
    expect(holds.every(({ person }) => person === 'noor')).toBe(true);
    expect(week.jobs[0]?.due).toBe(5 * 1440 - 600);
  });
  it('takes longer where such work took longer, and waits for its parts', () => {
    const plain = must(planWeek(weekOfShop(shop, [asked()], DAYS))).end;
    expect(must(planWeek(weekOfShop(shop, [asked({ factor: () => 1.5 })], DAYS))).end).toBeGreaterThan(plain);
    const part = {
      id: 'part: stem',
      kind: 'part',
      minutes: 0,
      after: [],
      done: false,
      steps: [],
      until: '2026-12-14',
    } as const;
    const waits = operations.map((each) =>
      each.kind === 'rebuild' ? { ...each, after: [...each.after, part.id] } : each,
    );
    const week = weekOfShop(shop, [asked({ operations: [part, ...waits] })], DAYS);
    const rebuild = must(planWeek(week)).operations.find(({ id }) => id === 'rebuild');
    expect(rebuild?.start).toBeGreaterThanOrEqual(7 * 1440 - 600);
  });
  it('is begun on its own day and no sooner', () => {
    const week = weekOfShop(shop, [asked({ release: '2026-12-09' })], DAYS);
    // Wednesday’s midnight is two days after Monday’s, and now is ten on Monday.
    expect(week.jobs[0]?.release).toBe(2 * 1440 - 600);
    const made = must(planWeek(week));
    expect(Math.min(...made.operations.map(({ start }) => start))).toBeGreaterThanOrEqual(2 * 1440 - 600);
    expect(weekOfShop(shop, [asked({ release: '2026-12-01' })], DAYS).jobs[0]?.release).toBe(0);
  });
  it('is the same where it is put into a week that was made', () => {
    const week = weekOfShop(shop, [asked()], DAYS);
    expect(jobInWeek(asked(), findingOfWeek(week), DAYS)).toEqual(week.jobs[0]);
  });
  it('keeps what is begun with who began it, as long as they are there', () => {
    const begun = operations.map((each) => (each.kind === 'inspect' ? { ...each, begunBy: 'ines' } : each));
    const [first] = weekOfShop(shop, [asked({ operations: begun })], DAYS).jobs;
    expect(first?.operations.find(({ id }) => id === 'inspect')).toMatchObject({ person: 'ines' });
    const [other] = weekOfShop(
      { ...shop, people: people.slice(1) },
      [asked({ operations: begun })],
      DAYS,
    ).jobs;
    expect(other?.operations.find(({ id }) => id === 'inspect')).toMatchObject({ skill: 'bench' });
  });
});
