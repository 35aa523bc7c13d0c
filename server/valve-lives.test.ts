import { dueList, jobsOpened, valvePage } from '@dusk-wren/contract';
import { ordersView, stockView } from '@dusk-wren/contract/stock';
import { jobId as jobIdSchema, readLog } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { monthsAfter } from '@dusk-wren/core/quantity';
import { BenchJob, id as madeUp } from '@dusk-wren/core/testing/bench';
import { defaultValve, valveKey, type ConstructionId, type Valve } from '@dusk-wren/core/valve';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { randomUUID } from 'node:crypto';
import pino from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fileJob } from './database/file-job';
import { fillTimes } from './database/fill-times';
import { followDrawn } from './database/drawn-parts';
import { loadRawLog } from './database/job-log';
import { JobLifeRow, OrderLineRow, PartLifeRow } from './database/life-models';
import { JobRow, ValveRow } from './database/models';
import { putKits, putStock } from './database/stock';
import { carriedOf } from './database/valve-lives';
import { fileValve } from './database/valves';
import { WorkTimesRow } from './database/week-models';
import { openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
}, 60_000);
afterAll(() => shop.close());

const file = (tag: string, construction: ConstructionId = 'globe-bolted', more: Partial<Valve> = {}) =>
  shop.sequelize.transaction((transaction) =>
    fileValve({ ...defaultValve(construction), tag, customer: 'Low Mill', ...more }, transaction),
  );

/** Files a whole job on a valve, worked at a moment, with what its life has taught until then. */
async function lived(valve: { id: string; valve: Valve }, now: string, work = (job: BenchJob) => job) {
  const carried = await shop.sequelize.transaction((transaction) => carriedOf(valve.id, transaction));
  const bench = new BenchJob(valve.valve, { now, ...(carried ? { carried } : {}) });
  work(bench).workTo('nothing');
  const id = jobIdSchema.parse(randomUUID());
  await shop.sequelize.transaction((transaction) =>
    fileJob({ id, valveId: valve.id, log: bench.log, state: bench.state }, transaction),
  );
  return id;
}
const pageOf = async (valve: string) => {
  const answer = await ada.get(`/api/register/${valve}`);
  expect(answer.status, JSON.stringify(answer.body)).toBe(200);
  return valvePage.parse(answer.body);
};

describe('a valve that has been here', () => {
  it('says when it is due and why, and its next job begins with what the last one left', async () => {
    const valve = await file('LV-1');
    const job = await lived(valve, '2024-03-04T08:00:00.000Z');
    const page = await pageOf(valve.id);
    expect(page.due[0]).toMatchObject({ at: '2029-11-24', kind: 'certificate' });
    expect(page.jobs[0]?.lived).toMatchObject({ signed: '2024-03-04', asFound: { found: 'good' } });
    expect(page.carried.words.find(({ what }) => what === 'packing rings fitted')).toMatchObject({
      job,
      at: '2024-03-04',
    });

    const opened = await ada.post('/api/jobs', {
      ...{ commandId: randomUUID(), valve: { id: valve.id }, place: 'out and back', reported: 'again' },
    });
    expect(opened.status).toBe(201);
    const log = must(readLog(await loadRawLog(jobIdSchema.parse(opened.body.id), 0)));
    const [first] = log;
    expect(first?.kind === 'job-opened' && first.body.carried).toEqual(page.carried);
  });

  it('one that an older server signed has its line once somebody looks', async () => {
    const valve = await file('LV-2');
    const job = await lived(valve, '2025-01-10T08:00:00.000Z');
    await JobLifeRow.destroy({ where: { jobId: job } });
    await PartLifeRow.destroy({ where: { valveId: valve.id } });
    await ValveRow.update({ dueOn: null, due: null }, { where: { id: valve.id } });
    expect((await pageOf(valve.id)).due[0]?.at).toBe('2029-11-24');
    expect(await PartLifeRow.count({ where: { valveId: valve.id, fate: 'running' } })).toBeGreaterThan(1);
  });

  it('how long its work took is kept with it, and learned after all where an older server signed', async () => {
    const valve = await file('LV-7');
    const job = await lived(valve, '2025-01-10T08:00:00.000Z');
    const kept = await WorkTimesRow.findByPk(job);
    expect(kept?.construction).toBe(valve.valve.construction);
    await WorkTimesRow.destroy({ where: { jobId: job } });
    const stop = fillTimes(shop.sequelize, pino({ level: 'silent' }));
    await expect
      .poll(async () => (await WorkTimesRow.findByPk(job))?.body, { timeout: 60_000 })
      .toBe(kept?.body);
    stop();
  });

  it('two who look at it at once find the same, and nobody is refused', async () => {
    const valve = await file('LV-6');
    const job = await lived(valve, '2025-01-10T08:00:00.000Z');
    await JobLifeRow.destroy({ where: { jobId: job } });
    await PartLifeRow.destroy({ where: { valveId: valve.id } });
    const pages = await Promise.all([pageOf(valve.id), pageOf(valve.id), pageOf(valve.id)]);
    expect(new Set(pages.map((page) => JSON.stringify(page.jobs))).size).toBe(1);
    const parts = await PartLifeRow.findAll({ where: { valveId: valve.id } });
    expect(new Set(parts.map(({ part }) => part)).size).toBe(parts.length);
  });

  it('parts that are new at every overhaul were gone, not failed; one found bad had failed', async () => {
    const valve = await file('LV-3');
    await lived(valve, '2022-02-01T08:00:00.000Z');
    await lived(valve, '2023-02-01T08:00:00.000Z', (job) => {
      job.workTo('inspect.stem');
      return job;
    });
    const packing = await PartLifeRow.findAll({
      where: { valveId: valve.id, part: 'packing' },
      order: [['fittedOn', 'ASC']],
    });
    expect(packing.map(({ fittedOn, endedOn, fate }) => [fittedOn, endedOn, fate])).toEqual([
      ['2022-02-01', '2023-02-01', 'gone'],
      ['2023-02-01', null, 'running'],
    ]);
  });

  it('a repair within ninety days has come back', async () => {
    const valve = await file('LV-4');
    const first = await lived(valve, '2025-02-01T08:00:00.000Z');
    const second = await lived(valve, '2025-04-20T08:00:00.000Z');
    const third = await lived(valve, '2026-04-20T08:00:00.000Z');
    const rows = await JobLifeRow.findAll({ where: { valveId: valve.id } });
    const back = new Map(rows.map(({ jobId, cameBack }) => [jobId, cameBack]));
    expect([first, second, third].map((job) => back.get(job))).toEqual([false, true, false]);
  });

  it('a unit rebuilt by itself is no line in the life of its valve', async () => {
    const valve = await file('LV-5', 'globe-yoke-clamp');
    const bench = new BenchJob(valve.valve, { only: 'packed bonnet', place: 'bare' });
    bench.workTo('nothing');
    const id = jobIdSchema.parse(randomUUID());
    await shop.sequelize.transaction((transaction) =>
      fileJob({ id, valveId: valve.id, log: bench.log, state: bench.state }, transaction),
    );
    expect(await JobLifeRow.count({ where: { jobId: id } })).toBe(0);
  });
});

describe('a spare', () => {
  it('is due when the oldest seal of its kit is out of date by ISO 2230; back in its line it is not', async () => {
    const sheet = {
      ...{ number: 'K-9', title: 'globe kit', construction: 'globe-bolted', kits: [{ code: 'A', fits: {} }] },
      lines: (['EPDM', 'NBR'] as const).map((elastomer, i) => ({
        ...{
          line: String(i + 1),
          name: elastomer,
          part: 'bonnet gasket' as const,
          quantity: 1,
          kits: ['A'],
          elastomer,
        },
      })),
    };
    await shop.sequelize.transaction((transaction) => putKits([sheet], transaction));
    const valve = await file('SP-1', 'globe-bolted', { customer: 'Shelf Mill' });
    await lived(valve, '2024-03-04T08:00:00.000Z', (job) =>
      job.send({
        kind: 'check-kit',
        body: {
          ...{ sheet: 'K-9', kit: 'A' },
          found: [
            { line: '1', count: 1, cureDate: '1Q20' },
            { line: '2', count: 1, cureDate: '2Q20' },
          ],
        },
      }),
    );
    const put = (standing: string) => ada.post(`/api/register/${valve.id}/move`, { standing, why: '' });
    expect((await put('spare')).status).toBe(200);
    // NBR keeps seven years, EPDM ten (ISO 2230): from the first day of the second quarter of 2020.
    expect((await pageOf(valve.id)).due[0]).toMatchObject({
      at: '2027-04-01',
      kind: 'shelf life',
      words: 'its NBR seals are in date until then',
    });
    await put('in place');
    expect((await pageOf(valve.id)).due.map(({ kind }) => kind)).not.toContain('shelf life');
  });
});

describe('its twins', () => {
  it('are of its kind, size and customer, spares first, none that is scrapped', async () => {
    const [one] = [await file('TW-1', 'gate-wedge'), await file('TW-2', 'gate-wedge')];
    const spare = await file('TW-3', 'gate-wedge');
    const gone = await file('TW-4', 'gate-wedge');
    await file('TW-5', 'gate-wedge', { customer: 'High Mill' });
    await file('TW-6', 'gate-wedge', { nps: 10 });
    await ada.post(`/api/register/${spare.id}/move`, { standing: 'spare', why: '' });
    await ada.post(`/api/register/${gone.id}/move`, { standing: 'scrapped', why: '' });
    expect((await pageOf(one.id)).twins.map(({ tag }) => tag)).toEqual(['TW-3', 'TW-2']);
  });
});

describe('the recall list', () => {
  const today = new Date().toISOString().slice(0, 10);
  const [soon, later] = [monthsAfter(today, 1), monthsAfter(today, 8)];
  let due: { id: string; valve: Valve }[];
  beforeAll(async () => {
    due = [
      await file('RL-1'),
      await file('RL-2'),
      await file('RL-3', 'globe-bolted', { customer: 'High Mill' }),
    ];
    for (const [i, at] of [soon, later, soon].entries())
      await ValveRow.update(
        { dueOn: at, due: JSON.stringify([{ at, kind: 'measure', words: '=the seat meets its limit' }]) },
        { where: { id: due[i]?.id ?? '' } },
      );
  });
  const list = async (query: Record<string, string>) => {
    const answer = await ada.get(`/api/due?${new URLSearchParams(query).toString()}`);
    expect(answer.status, JSON.stringify(answer.body)).toBe(200);
    return dueList.parse(answer.body);
  };

  it('has what is due by a day, the soonest first, of one customer or of all', async () => {
    const found = await list({ by: monthsAfter(today, 2) });
    expect(found.valves.map(({ tag }) => tag).sort()).toEqual(['RL-1', 'RL-3']);
    expect(found.inAll).toBe(2);
    const year = await list({ by: monthsAfter(today, 12), customer: 'Low Mill' });
    expect(year.valves.map(({ tag }) => tag)).toEqual(['RL-1', 'RL-2']);
    const page = await list({ by: monthsAfter(today, 12), limit: '1' });
    expect((await list({ by: monthsAfter(today, 12), cursor: page.next ?? '' })).valves).toHaveLength(2);
  });
  it('the register is narrowed by it, with words and without', async () => {
    for (const q of ['', 'rl', 'mill']) {
      const query = new URLSearchParams({ due: monthsAfter(today, 2), q }).toString();
      const { valves } = (await ada.get(`/api/register?${query}`)).body as { valves: { tag: string }[] };
      expect(
        valves.map(({ tag }) => tag),
        q,
      ).toEqual(['RL-1', 'RL-3']);
    }
  });
  it('is a calendar that another library reads, a day a valve', async () => {
    const answer = await ada.get(`/api/due.ics?by=${monthsAfter(today, 2)}`);
    expect(answer.type).toBe('text/calendar');
    const calendar = new ICAL.Component(ICAL.parse(answer.text));
    const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
    expect(events.map(({ startDate }) => startDate.toString())).toEqual([soon, soon]);
    expect(events.map(({ summary }) => summary).sort()).toEqual(['RL-1: overhaul due', 'RL-3: overhaul due']);
  });
  it('is a file whose reasons are no formulas', async () => {
    const answer = await ada.get(`/api/due.csv?by=${monthsAfter(today, 2)}`);
    const rows = Papa.parse<Record<string, string>>(answer.text.trim(), { header: true }).data;
    expect(rows.map(({ because }) => because)).toEqual([
      "'=the seat meets its limit",
      "'=the seat meets its limit",
    ]);
  });
  it('opens the jobs of what is due, each once; what cannot be opened is said', async () => {
    const [one, two, three] = due;
    await ada.post(`/api/register/${three?.id ?? ''}/move`, { standing: 'scrapped', why: 'cracked' });
    const asked = { valves: [one, two, three].map((each) => ({ valve: each?.id, commandId: randomUUID() })) };
    const [first, again] = [await ada.post('/api/due/open', asked), await ada.post('/api/due/open', asked)];
    expect(first.status, JSON.stringify(first.body)).toBe(200);
    const [opened, twice] = [jobsOpened.parse(first.body), jobsOpened.parse(again.body)];
    expect(opened.opened.map(({ valve }) => valve)).toEqual([one?.id, two?.id]);
    expect(twice.opened).toEqual(opened.opened);
    expect(opened.left).toEqual([{ valve: three?.id, why: expect.stringMatching(/scrapped/) as string }]);
    const row = await JobRow.findByPk(opened.opened[0]?.job ?? '');
    expect(row?.due).toBe(soon);
  });
  it.each([{ by: 'soon' }, {}, { by: today, limit: '0' }])('asked wrongly (%o) is refused', async (query) => {
    const answer = await ada.get(`/api/due?${new URLSearchParams(query).toString()}`);
    expect(answer.status).toBe(400);
  });
});

describe('the store follows the log', () => {
  it('a new part that goes on is drawn from its bin, and lies there again when its step is struck', async () => {
    const valve = await file('SV-1');
    const key = valveKey(valve.valve);
    const part = {
      ...{ number: 'PK-1', name: 'packing set', part: 'packing' as const, fits: key.split(' ')[0] ?? key },
      ...{ material: 'graphite' as const, price: 12.5, leadDays: 10, bin: 'A1', onHand: 40, reorderAt: 2 },
    };
    await shop.sequelize.transaction((transaction) => putStock([part], transaction));
    const bench = new BenchJob(valve.valve).workTo('nothing');
    const before = new BenchJob(valve.valve).state;
    const change = { jobId: jobIdSchema.parse(madeUp(77)), entries: bench.log };
    const onHand = async () =>
      stockView.parse((await ada.get('/api/store/stock?q=PK-1')).body).parts[0]?.onHand ?? NaN;
    await shop.sequelize.transaction((transaction) =>
      followDrawn({ ...change, before, after: bench.state, transaction }),
    );
    const left = await onHand();
    expect(left).toBeLessThan(40);
    await shop.sequelize.transaction((transaction) =>
      followDrawn({ ...change, before: bench.state, after: before, transaction }),
    );
    expect(await onHand()).toBe(40);
  });

  it('orders of every open job are kept as its log grows, and read without it', async () => {
    const valve = await file('SV-2');
    const bench = new BenchJob(valve.valve, { due: '2027-03-01' }).workTo('inspect.stem');
    const job = jobIdSchema.parse(randomUUID());
    await shop.sequelize.transaction((transaction) =>
      fileJob({ id: job, valveId: valve.id, log: bench.log, state: bench.state }, transaction),
    );
    const orders = async () =>
      ordersView.parse((await ada.get('/api/store/orders')).body).orders.filter((each) => each.job === job);
    expect(await orders()).toEqual([]);
    const finding = { kind: 'stem mark', zone: 'packing zone' };
    const send = (command: object) =>
      ada.post(`/api/jobs/${job}/commands`, {
        ...{ baseVersion: bench.state.version, commandId: randomUUID(), command },
      });
    const made = await send({ kind: 'make-finding', body: { step: 'inspect.stem', finding } });
    expect(made.status, JSON.stringify(made.body)).toBe(200);
    expect(await OrderLineRow.count({ where: { jobId: job } })).toBe(1);
    expect((await orders()).map(({ part, state }) => [part, state])).toEqual([['stem', 'to order']]);
    await JobRow.update({ ordersVersion: null }, { where: { id: job } });
    expect(await orders()).toHaveLength(1);
    // Closed by an older server, which knows nothing of lines.
    await JobRow.update({ state: 'released' }, { where: { id: job } });
    expect(await orders()).toEqual([]);
  });
});
