import { hoursView, weekView, type WeekView } from '@dusk-wren/contract/week';
import { plannedJobView, mineView } from '@dusk-wren/contract/planned';
import { faultsOf } from '@dusk-wren/core/schedule';
import ICAL from 'ical.js';
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { KeptWeekRow } from './database/week-models';
import { binary, openShop, Screen, type Shop } from './testing/shop';

/** A Monday, eight in the morning by clocks of Greenwich. */
const MONDAY = new Date('2026-12-07T08:00:00Z');
const DAY = 1440;
let now = MONDAY;
let shop: Shop;
let [lea, ada] = [{} as Screen, {} as Screen];
let job = '';

const PLACES = [
  ['Bench', 'bench'],
  ['Lathe', 'lathe'],
  ['Rig', 'rig'],
] as const;

beforeAll(async () => {
  shop = await openShop({}, undefined, () => now);
  [lea, ada] = await Promise.all([Screen.open(shop, 'lea'), Screen.open(shop, 'ada')]);
  const settings = { name: 'Quay', units: 'SI', zone: 'UTC', lockMinutes: 0, secondFactor: 'nobody' };
  await lea.post('/api/setup/shop', settings);
  for (const [name, kind] of PLACES)
    await lea.post('/api/setup/places', {
      ...{ name, kind, count: 1, days: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'] },
      ...{ opens: '07:00', closes: '15:30' },
    });
  const opened = await ada.post('/api/jobs', {
    ...{ commandId: randomUUID(), valve: { id: shop.valve }, place: 'out and back' },
    ...{ reported: 'passes', due: '2026-12-08' },
  });
  job = opened.body.id;
});
afterAll(() => shop.close());

const week = async (screen: Screen = lea): Promise<WeekView> => {
  const answer = await screen.get('/api/week');
  expect(answer.status).toBe(200);
  const view = weekView.parse(answer.body);
  expect(faultsOf(view.week, view.plan)).toEqual([]);
  return view;
};
const hours = async (path: string, body: object) => {
  const answer = await lea.post(`/api/setup/hours${path}`, body);
  expect(answer.status).toBe(200);
  return hoursView.parse(answer.body);
};
const first = (view: WeekView) =>
  view.plan.filter(({ person }) => person !== undefined).toSorted((a, b) => a.start - b.start)[0];
const endOf = (view: WeekView) => Math.max(...view.plan.map(({ end }) => end));

describe('the week', () => {
  it('puts what is left of every open job to who can, where it is done, in their hours', async () => {
    const view = await week(ada);
    expect(view.from).toBe(MONDAY.toISOString());
    expect(view.jobs.map(({ tag, due }) => [tag, due])).toEqual([['T-1', '2026-12-08']]);
    expect(first(view)?.start).toBe(0);
    expect(view.said).toContain(
      'Nobody is noted for work in the field: planned as if whoever is at a bench could.',
    );
    const holds = view.plan.filter(({ id }) => view.jobs[0]?.kinds[id] === 'hold');
    expect(holds.every(({ person }) => person === shop.people.ivo || person === shop.people.lea)).toBe(true);
  });
  it('says of the job when it is ready, what comes next and with whom; the floor goes by it', async () => {
    const view = await week();
    const said = plannedJobView.parse((await ada.get(`/api/week/jobs/${job}`)).body);
    expect(said.readyAt).toBe(new Date(MONDAY.getTime() + endOf(view) * 60_000).toISOString());
    expect(said.next).toMatchObject({ job, tag: 'T-1', start: MONDAY.toISOString() });
    const { body } = await ada.get('/api/jobs');
    expect(body.jobs[0]).toMatchObject({ readyBy: said.readyAt?.slice(0, 10), next: said.next });
    const mine = mineView.parse((await ada.get('/api/week/mine')).body);
    expect(mine.pieces.length).toBe(view.plan.filter(({ person }) => person === shop.people.ada).length);
  });
  it('is made again with who is away and when nobody works, little else moved', async () => {
    const before = await week();
    const bench = [shop.people.ada, shop.people.bo];
    const onDay = (view: WeekView, day: number) =>
      view.plan.filter(
        ({ person, start }) =>
          person !== undefined && bench.includes(person) && Math.floor((start + 480) / DAY) === day,
      );
    expect(onDay(before, 1).length).toBeGreaterThan(0);
    await hours('/holidays', { day: '2026-12-09', name: 'Founders’ day' });
    for (const person of bench)
      await hours('/absences', { person, from: '2026-12-08', to: '2026-12-08', why: 'first aid course' });
    const view = await week();
    expect([onDay(view, 1), onDay(view, 2)]).toEqual([[], []]);
    expect(onDay(view, 3).length).toBeGreaterThan(0);
    const begins = (of: WeekView) => onDay(of, 0).map(({ id, person, start }) => ({ id, person, start }));
    expect(begins(view)).toEqual(begins(before));
    expect(view.morning).toEqual(before.morning);
    const { people } = await hours('/holidays/2026-12-09/remove', {});
    for (const { away } of people) for (const { id } of away) await hours(`/absences/${id}/remove`, {});
  });
  it('reaches into hours that somebody stays for', async () => {
    await hours(`/people/${shop.people.ada}`, {
      hours: { days: ['Mon'], opens: '07:00', closes: '12:00', breakFrom: '09:00', breakTo: '09:20' },
    });
    const { people } = await hours('/extra', {
      ...{ person: shop.people.ada, evenings: [{ day: '2026-12-07', from: '15:30', to: '18:00' }] },
    });
    const of = people.find(({ id }) => id === shop.people.ada);
    expect(of).toMatchObject({ hours: { breakFrom: '09:00' }, extra: [{ from: '15:30', to: '18:00' }] });
    const open = (await week()).week.people.find(({ id }) => id === shop.people.ada)?.open;
    expect(open?.slice(0, 2)).toEqual([
      [0, 60],
      [80, 240],
    ]);
    expect(open).toContainEqual([450, 600]);
    for (const { id } of of?.extra ?? []) await hours(`/extra/${id}/remove`, {});
    await hours(`/people/${shop.people.ada}`, { hours: null });
  });
  it('hours that contradict themselves are refused, and only a lead sets any', async () => {
    const wrong = [
      ['/shop', { hours: { days: ['Mon'], opens: '15:00', closes: '07:00' } }],
      [
        '/shop',
        { hours: { days: ['Mon'], opens: '07:00', closes: '15:00', breakFrom: '06:00', breakTo: '08:00' } },
      ],
      ['/absences', { person: shop.people.ada, from: '2026-12-09', to: '2026-12-08', why: 'ill' }],
      [
        '/extra',
        {
          person: shop.people.ada,
          // One that cannot be, and none of them is kept.
          evenings: [
            { day: '2026-12-08', from: '16:00', to: '18:00' },
            { day: '2026-12-09', from: '18:00', to: '17:00' },
          ],
        },
      ],
      ['/absences/nine/remove', {}],
    ] as const;
    for (const [path, body] of wrong)
      expect([path, (await lea.post(`/api/setup/hours${path}`, body)).status]).toEqual([path, 400]);
    expect((await lea.post('/api/setup/hours/absences/999999/remove', {})).status).toBe(404);
    expect((await ada.post('/api/setup/hours/holidays', { day: '2026-12-09', name: 'x' })).status).toBe(403);
  });
});

describe('a pin', () => {
  const pin = (body: object) => lea.post('/api/week/pins', { job, ...body });
  it('is kept, and said by whom; the rest goes round it', async () => {
    const before = first(await week());
    if (!before) throw new Error('nothing planned');
    const start = new Date(MONDAY.getTime() + 120 * 60_000).toISOString();
    const answer = await pin({ id: before.id, start, person: shop.people.bo });
    expect(answer.status).toBe(200);
    const view = weekView.parse(answer.body);
    expect(view.plan.find(({ id }) => id === before.id)).toMatchObject({
      start: 120,
      person: shop.people.bo,
    });
    expect(view.pins).toEqual([{ job, id: before.id, by: 'lea' }]);
    expect(faultsOf(view.week, view.plan)).toEqual([]);
    const off = await lea.post('/api/week/pins/remove', { job, id: before.id });
    const again = weekView.parse(off.body);
    expect(again.pins).toEqual([]);
    expect(first(again)?.start).toBe(0);
  });
  it('that cannot be is refused with why, and nothing is changed', async () => {
    const before = first(await week());
    const night = new Date(MONDAY.getTime() + 12 * 3_600_000).toISOString();
    const refused = await pin({ id: before?.id, start: night });
    expect([refused.status, refused.body.problem.code]).toEqual([422, 'week.impossible']);
    expect(refused.body.text).toMatch(/^It cannot be planned so: .* Nothing was changed\.$/);
    expect((await pin({ id: before?.id })).status).toBe(400);
    expect((await pin({ id: 'no such work', start: night })).status).toBe(404);
    expect((await ada.post('/api/week/pins', { job, id: before?.id, start: night })).status).toBe(403);
    expect((await week()).pins).toEqual([]);
  });
  it('is let go, and said, once it cannot be any more', async () => {
    const before = first(await week());
    if (!before) throw new Error('nothing planned');
    expect((await pin({ id: before.id, person: shop.people.bo })).status).toBe(200);
    // Nobody is told apart from who left: the plan goes on without them.
    await hours('/absences', { person: shop.people.bo, from: '2026-12-07', to: '2027-12-31', why: 'at sea' });
    const view = await week();
    expect(view.plan.length).toBeGreaterThan(0);
    expect(view.said[0]).toMatch(/^T-1, .*: not where lea put it, for that cannot be any more\.$/);
    await lea.post('/api/week/pins/remove', { job, id: before.id });
    const { people } = await hours('/holidays/2026-12-25/remove', {});
    for (const { away } of people) for (const { id } of away) await hours(`/absences/${id}/remove`, {});
  });
});

describe('out of the house', () => {
  const bytes = (path: string) => lea.agent.get(path).buffer(true).parse(binary);
  it('a day sheet has a page for each who works on it, with valve, what and where', async () => {
    const view = await week();
    const pdf = await bytes('/api/week/day-sheet.pdf?day=2026-12-07');
    expect([pdf.status, pdf.type]).toEqual([200, 'application/pdf']);
    const { stdout } = spawnSync('pdftotext', ['-layout', '-', '-'], { input: pdf.body as Buffer });
    const text = stdout.toString();
    expect(text).toContain('Day sheet, Mon 7 Dec 2026');
    const working = view.people.filter(({ id }) =>
      view.plan.some(({ person, start }) => person === id && start < 960),
    );
    expect(working.length).toBeGreaterThan(0);
    for (const { name } of working) expect(text).toMatch(new RegExp(`^\\s*${name}$`, 'm'));
    expect(text).toContain('T-1');
    const free = await bytes(`/api/week/day-sheet.pdf?day=2026-12-06&person=${shop.people.bo}`);
    const none = spawnSync('pdftotext', ['-', '-'], { input: free.body as Buffer }).stdout.toString();
    expect(none).toContain('Nothing is planned on this day.');
    expect((await lea.get('/api/week/day-sheet.pdf?day=tomorrow')).status).toBe(400);
  });
  it('calendars are of somebody, of a place, or of what is due', async () => {
    const view = await week();
    const read = async (query: string) => {
      const answer = await lea.get(`/api/week/calendar.ics${query}`);
      expect(answer.type).toBe('text/calendar');
      const calendar = new ICAL.Component(ICAL.parse(answer.text));
      return calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
    };
    const piece = view.plan.find(({ place }) => place === 'bench');
    const own = view.plan.filter(({ person }) => person === piece?.person);
    const mine = await read(`?person=${piece?.person ?? ''}`);
    expect(mine.map(({ startDate }) => startDate.toJSDate().toISOString())).toEqual(
      own.map(({ start }) => new Date(MONDAY.getTime() + start * 60_000).toISOString()),
    );
    expect(new Set(mine.map(({ uid }) => uid)).size).toBe(mine.length);
    const there = await read('?place=bench');
    expect(there).toHaveLength(view.plan.filter(({ place }) => place === 'bench').length);
    expect(there[0]?.location).toBe('bench');
    expect((await read('')).map(({ summary, startDate }) => [summary, startDate.toString()])).toEqual([
      ['T-1: wanted', '2026-12-08'],
    ]);
  });
  it('the table has a line for each operation', async () => {
    const view = await week();
    const { text } = await lea.get('/api/week.csv');
    const lines = text.trim().split(/\r?\n/);
    expect(lines[0]?.replace('\uFEFF', '')).toBe('start,end,person,place,tag,what,due,late');
    expect(lines).toHaveLength(view.plan.length + 1);
    expect(lines[1]).toContain('Mon 7 Dec 2026 08:00');
  });
});

describe('a plan that a solver found', () => {
  const offer = (body: object) => lea.post('/api/week/better', body);
  it('is kept where it is of this week, without fault, and better', async () => {
    const view = await week();
    const late = view.plan.map((each) => ({ ...each, start: each.start + 7 * DAY, end: each.end + 7 * DAY }));
    expect(faultsOf(view.week, late)).toEqual([]);
    const worse = await offer({ from: view.from, plan: late, bound: 0 });
    expect([worse.status, worse.body.problem.code]).toEqual([422, 'week.no-better']);
    const wrong = view.plan.map((each) => ({ ...each, start: 0, end: 0 }));
    expect((await offer({ from: view.from, plan: wrong, bound: 0 })).status).toBe(422);
    const old = await offer({ from: '2026-12-01T08:00:00.000Z', plan: view.plan, bound: 0 });
    expect([old.status, old.body.problem.code]).toEqual([409, 'week.changed']);
    expect((await ada.post('/api/week/better', { from: view.from, plan: [], bound: 0 })).status).toBe(403);
    expect((await week()).plan).toEqual(view.plan);
  });
  it('takes the place of the one that stands, with what is proved of it', async () => {
    const good = await week();
    const row = await KeptWeekRow.findOne({ where: { day: '2026-12-07' } });
    const late = good.plan.map((each) => ({ ...each, start: each.start + 7 * DAY, end: each.end + 7 * DAY }));
    await row?.update({ body: JSON.stringify({ ...good, plan: late }) });
    expect((await week()).plan).toEqual(late);
    const taken = weekView.parse((await offer({ from: good.from, plan: good.plan, bound: 1e9 })).body);
    expect(taken.plan).toEqual(good.plan);
    expect(taken).toMatchObject({ bound: taken.objective, gap: 0 });
    expect((await week()).plan).toEqual(good.plan);
    const { readyAt } = plannedJobView.parse((await ada.get(`/api/week/jobs/${job}`)).body);
    expect(readyAt).toBe(new Date(MONDAY.getTime() + endOf(good) * 60_000).toISOString());
  });
});

it('a date that does not move counts before all else', async () => {
  const answer = await lea.post(`/api/week/jobs/${job}/want`, { hard: true, weight: 3, notBefore: null });
  expect(weekView.parse(answer.body).jobs[0]).toMatchObject({ hard: true, weight: 3 });
  expect(
    (await lea.post(`/api/week/jobs/${job}/want`, { hard: true, weight: 0, notBefore: null })).status,
  ).toBe(400);
  const { body } = await lea.get('/api/setup/changes?q=does not move');
  expect(body.changes[0]).toMatchObject({
    subject: 'week',
    what: 'T-1: its date does not move, counts 3 times',
  });
});

it('a job that is not to be begun before a day is planned from then', async () => {
  const want = { hard: false, weight: 1, notBefore: '2026-12-16' };
  const view = weekView.parse((await lea.post(`/api/week/jobs/${job}/want`, want)).body);
  const opens = view.days.find(({ day }) => day === '2026-12-16')?.midnight ?? 0;
  const own = view.plan.filter((each) => each.job === job);
  expect(own.length).toBeGreaterThan(0);
  expect(Math.min(...own.map(({ start }) => start))).toBeGreaterThanOrEqual(opens);
  await lea.post(`/api/week/jobs/${job}/want`, { ...want, notBefore: null });
});

it('goes on with the day: what should have begun has not, and the morning stays what it was', async () => {
  const before = await week();
  now = new Date(MONDAY.getTime() + 4 * 3_600_000);
  const later = await week();
  expect(later.from).toBe(now.toISOString());
  expect(first(later)?.start).toBe(0);
  const moved = later.morning.map((each) => ({ ...each, start: each.start + 240, end: each.end + 240 }));
  expect(moved).toEqual(before.morning);
  now = MONDAY;
});
