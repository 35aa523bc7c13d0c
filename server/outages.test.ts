import { jobsOpened } from '@dusk-wren/contract';
import { outageView, type OutageView } from '@dusk-wren/contract/outages';
import { learned, toComeView, weekView } from '@dusk-wren/contract/week';
import { partsOf, valveKey, defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { JobLifeRow } from './database/life-models';
import { ValveRow } from './database/models';
import { SetupChangeRow } from './database/setup-models';
import { fileValve } from './database/valves';
import { WorkTimesRow } from './database/week-models';
import { lived } from './testing/lived';
import { openShop, Screen, type Shop } from './testing/shop';

const MONDAY = new Date('2026-12-07T08:00:00Z');
/** Five weeks on, a Monday to its Friday. */
const WINDOW = { from: '2027-01-11', to: '2027-01-15' };
let shop: Shop;
let [lea, ada] = [{} as Screen, {} as Screen];
const ids = new Map<string, string>();
const GLOBE = defaultValve('globe-bolted');
const GASKET = partsOf(GLOBE).find(({ role }) => role === 'bonnet gasket');

async function file(tag: string, customer: string, standing = 'in place'): Promise<void> {
  const { id } = await shop.sequelize.transaction((transaction) =>
    fileValve({ ...GLOBE, tag, customer, location: 'row 1' }, transaction),
  );
  await ValveRow.update({ standing }, { where: { id } });
  ids.set(`${customer} ${tag}`, id);
}
const idOf = (tag: string): string => ids.get(`Mossgate ${tag}`) ?? '';
const found = (tag: string, how: string) =>
  JobLifeRow.create({
    ...{ jobId: randomUUID(), valveId: idOf(tag), customer: 'Mossgate', construction: 'globe-bolted' },
    ...{
      signed: '2024-05-06',
      minutes: 300,
      parts: '0',
      found: how,
      cause: null,
      cameBack: false,
      body: JSON.stringify(lived('2024-05-06')),
    },
  });

beforeAll(async () => {
  shop = await openShop({}, undefined, () => MONDAY);
  [lea, ada] = await Promise.all([Screen.open(shop, 'lea'), Screen.open(shop, 'ada')]);
  for (const tag of ['HV-1', 'HV-2', 'HV-3', 'HV-4']) await file(tag, 'Mossgate');
  await file('HV-9', 'Mossgate', 'spare');
  await file('HV-8', 'Mossgate', 'scrapped');
  await file('HV-2', 'Tarn Edge');
  const parts = Papa.unparse({
    fields: ['number', 'name', 'part', 'fits', 'material', 'elastomer', 'price', 'lead days'],
    data: [
      ['G-1', 'Bonnet gasket', 'bonnet gasket', valveKey(GLOBE), GASKET?.material ?? '', '', '18', '10'],
    ],
  });
  await lea.post('/api/store/import', { kind: 'parts', csv: parts });
  const bins = 'number,bin,on hand,reorder at,cure date\nG-1,A1,2,0,';
  expect((await lea.post('/api/store/import', { kind: 'stock', csv: bins })).body).toMatchObject({
    written: 1,
  });
});
afterAll(() => shop.close());

const LIST = ['tag,customer', 'HV-1,', 'HV-2,Mossgate', 'HV-3,', 'HV-4,'].join('\n');
const asked = (csv: string, more: object = {}) =>
  lea.post('/api/outages', { name: 'Winter stop', ...WINDOW, csv, ...more });
const view = async (): Promise<OutageView> => {
  const { body } = await lea.get('/api/outages');
  const answer = await lea.get(`/api/outages/${body.outages[0]?.id}`);
  expect(answer.status).toBe(200);
  return outageView.parse(answer.body);
};

describe('a list of valves', () => {
  it('is looked at row by row: each is found in the register, or why not is said', async () => {
    const csv = ['tag,customer', 'hv-1,', 'HV-2,', 'HV-7,', 'HV-8,', 'HV-1,', 'HV-2,tarn edge'].join('\n');
    const { body } = await lea.post('/api/outages/preview', { csv });
    expect(body.good).toBe(2);
    expect(
      body.rows.map(({ does, why }: { does: string; why: string[] }) => `${does} ${why.join()}`.trim()),
    ).toEqual([
      'new',
      'bad 2 valves have this tag: Mossgate, Tarn Edge. Add a column “customer” or “serial”.',
      'bad no such valve in the register: it is received or set up first',
      'bad it is scrapped',
      'bad it stands in this file twice',
      'new',
    ]);
  });
  it.each([
    ['nothing at all', ''],
    ['no heading', 'HV-1\nHV-2'],
    ['a heading alone', 'tag'],
    ['a quotation mark that does not close', 'tag\n"HV-1'],
  ])('is refused whole where it is %s', async (_, csv) => {
    expect((await lea.post('/api/outages/preview', { csv })).body).toMatchObject({ good: 0 });
    expect((await asked(csv, { skipBad: true })).status).toBe(400);
  });
  it('stops at one bad row, unless it is left; a window that ends before it begins is none', async () => {
    const csv = `${LIST}\nHV-7,`;
    const refused = await asked(csv);
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([400, expect.stringContaining('row 6')]);
    expect((await asked(LIST, { from: WINDOW.to, to: WINDOW.from })).status).toBe(400);
    expect((await lea.get('/api/outages')).body.outages).toEqual([]);
    expect((await asked(csv, { skipBad: true })).body.valves).toHaveLength(4);
  });
  it('is a lead’s to bring in, and everybody’s to read; its line is under Changes', async () => {
    const { id } = await view();
    expect((await ada.post('/api/outages', { name: 'x', ...WINDOW, csv: LIST })).status).toBe(403);
    expect((await ada.post(`/api/outages/${id}/remove`, {})).status).toBe(403);
    expect((await ada.get(`/api/outages/${id}`)).status).toBe(200);
    expect((await SetupChangeRow.findOne({ order: [['id', 'DESC']] }))?.what).toBe(
      'outage Winter stop, Mon 11 Jan 2027 to Fri 15 Jan 2027: 4 valves',
    );
    expect((await lea.get(`/api/outages/${randomUUID()}`)).status).toBe(404);
    expect((await lea.get('/api/outages/nonsense')).status).toBe(400);
  });
});

describe('its valves', () => {
  it('stand by risk: how badly each was found, then how soon it is due', async () => {
    await found('HV-3', 'leaking');
    await found('HV-4', 'stuck');
    await found('HV-1', 'good');
    const due = [{ at: '2026-12-20', kind: 'certificate', words: 'as its certificate was signed' }];
    await ValveRow.update({ dueOn: '2026-12-20', due: JSON.stringify(due) }, { where: { id: idOf('HV-1') } });
    const { valves } = await view();
    expect(valves.map(({ tag, found: how }) => [tag, how])).toEqual([
      ['HV-4', 'stuck'],
      ['HV-3', 'leaking'],
      ['HV-2', null],
      ['HV-1', 'good'],
    ]);
    expect(valves.at(-1)?.due?.at).toBe('2026-12-20');
  });
  it('are told with the spares that can stand in for them, of their customer alone', async () => {
    const spares = (await view()).valves.map((each) => each.spares.map(({ tag }) => tag));
    expect(spares).toEqual([['HV-9'], ['HV-9'], ['HV-9'], ['HV-9']]);
  });
  it('take parts: the worst out of the bin, the rest is ordered ten working days before', async () => {
    const { valves, parts } = await view();
    const gasket = parts.find(({ number }) => number === 'G-1');
    // Ten working days back from Monday 11 January 2027 is Monday 28 December 2026.
    expect(gasket).toMatchObject({ wanted: 4, onHand: 2, short: 2, orderBy: '2026-12-28', late: false });
    const waits = valves.map(({ operations }) => operations.some(({ id }) => id === 'part: bonnet gasket'));
    expect(waits).toEqual([false, false, true, true]);
    const part = valves.at(-1)?.operations.find(({ id }) => id === 'part: bonnet gasket');
    // Ten working days on from Monday 7 December.
    expect(part?.until).toBe('2026-12-21');
    // A part that no bin has is told with its usual lead time, and all of it is short.
    const packing = parts.find(({ number, part: role }) => number === null && role.startsWith('packing'));
    expect(packing).toMatchObject({ onHand: 0, short: packing?.wanted });
  });
  it('are totalled in a file, formula-safe', async () => {
    const { id } = await view();
    const { text } = await ada.get(`/api/outages/${id}/parts.csv`);
    const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    expect(data.find((row) => row['number'] === 'G-1')).toMatchObject({
      ...{ wanted: '4', 'on hand': '2', short: '2', 'order by': '2026-12-28' },
      for: 'HV-4 HV-3 HV-2 HV-1',
    });
  });
});

describe('its jobs', () => {
  const commands = ['HV-4', 'HV-3'].map((tag) => ({ valve: '', commandId: randomUUID(), tag }));
  it('are opened in one go, once: for the end of the window, which does not move, and not before it', async () => {
    const { id } = await view();
    const valves = commands.map(({ commandId, tag }) => ({ valve: idOf(tag), commandId, when: 'within' }));
    expect((await ada.post(`/api/outages/${id}/open`, { valves })).status).toBe(403);
    const twice = await Promise.all([0, 1].map(() => lea.post(`/api/outages/${id}/open`, { valves })));
    const [first, second] = twice.map(({ body }) => jobsOpened.parse(body).opened);
    expect(first).toHaveLength(2);
    expect(second).toEqual(first);
    const { jobs, week, days } = weekView.parse((await lea.get('/api/week')).body);
    for (const { id: job, ...each } of jobs.filter(({ tag }) => ['HV-4', 'HV-3'].includes(tag))) {
      expect(each).toMatchObject({ due: WINDOW.to, hard: true, notBefore: WINDOW.from });
      const opens = days.find(({ day }) => day === WINDOW.from)?.midnight;
      expect(week.jobs.find((own) => own.id === job)?.release).toBe(opens);
    }
    const { valves: now } = await view();
    expect(now.filter(({ open }) => open !== null).map(({ tag }) => tag)).toEqual(['HV-4', 'HV-3']);
  });
  it('a spare is to be done by the day before it, and may be begun at once', async () => {
    const { id } = await view();
    const valves = [{ valve: idOf('HV-9'), commandId: randomUUID(), when: 'before' }];
    await lea.post(`/api/outages/${id}/open`, { valves });
    const { jobs } = weekView.parse((await lea.get('/api/week')).body);
    // The working day before Monday 11 January 2027.
    const told = { due: '2027-01-08', hard: true, notBefore: null };
    expect(jobs.find(({ tag }) => tag === 'HV-9')).toMatchObject(told);
    // It lies ready no more.
    expect((await view()).valves.flatMap(({ spares }) => spares)).toEqual([]);
  });
  it('that cannot be opened are told, and stop no other', async () => {
    const { id } = await view();
    const valves = ['HV-4', 'HV-1'].map((tag) => ({
      ...{ valve: idOf(tag), commandId: randomUUID(), when: 'within' },
    }));
    const { opened, left } = jobsOpened.parse((await lea.post(`/api/outages/${id}/open`, { valves })).body);
    expect([opened.length, left.map(({ valve }) => valve)]).toEqual([1, [idOf('HV-4')]]);
  });
  it('stay where the outage is taken off the list', async () => {
    const { id } = await view();
    expect((await lea.post(`/api/outages/${id}/remove`, {})).body).toEqual({ outages: [] });
    const { jobs } = weekView.parse((await lea.get('/api/week')).body);
    expect(jobs.map(({ tag }) => tag).toSorted()).toEqual(['HV-1', 'HV-3', 'HV-4', 'HV-9']);
  });
});

describe('how long work took', () => {
  const strip = async (tag: string) => {
    const { jobs, week } = weekView.parse((await lea.get('/api/week')).body);
    const id = jobs.find((job) => job.tag === tag)?.id;
    const operation = week.jobs
      .find((job) => job.id === id)
      ?.operations.find(({ id: own }) => own === 'strip');
    return operation?.minutes ?? 0;
  };
  it('on five jobs of a construction is what its next ones are planned by: their median', async () => {
    const planned = await strip('HV-1');
    expect(planned).toBeGreaterThan(0);
    // Two of three are no more than chance: nothing is learned of fewer than five (handbook part 7, section 2).
    const ratios = [1.4, 0.9, 1.5, 3, 1.6];
    for (const [i, ratio] of ratios.entries()) {
      await WorkTimesRow.create({
        ...{ jobId: randomUUID(), construction: 'globe-bolted', signed: new Date(2026, 5, i + 1) },
        body: JSON.stringify([{ kind: 'strip', ratio }]),
      });
      await lea.post('/api/setup/hours/holidays', {
        day: `2027-05-0${i + 1}`,
        name: 'So that it is planned again',
      });
      expect(await strip('HV-1')).toBe(i < 4 ? planned : Math.round(planned * 1.5));
    }
    const told = learned.parse((await lea.get('/api/week')).body.learned);
    expect(told['globe-bolted']?.strip).toEqual(ratios);
  });
});

describe('a job to come', () => {
  it('is told as the work that it would be, of a valve on file or as it is typed; nothing is written', async () => {
    const before = (await lea.get('/api/jobs')).body.jobs.length;
    const onFile = toComeView.parse(
      (await ada.post('/api/week/to-come', { valve: { id: idOf('HV-2') } })).body,
    );
    const typed = {
      valve: { new: { ...GLOBE, tag: 'N-1', customer: 'New', location: 'gate' } },
      place: 'bare',
    };
    const fresh = toComeView.parse((await ada.post('/api/week/to-come', typed)).body);
    for (const { construction, operations } of [onFile, fresh]) {
      expect(construction).toBe('globe-bolted');
      expect(operations.map(({ kind }) => kind)).toEqual(
        expect.arrayContaining(['strip', 'inspect', 'rebuild', 'test']),
      );
      expect(operations.every(({ done }) => !done)).toBe(true);
    }
    expect((await lea.get('/api/jobs')).body.jobs).toHaveLength(before);
    expect((await ada.post('/api/week/to-come', { valve: { id: randomUUID() } })).status).toBe(404);
    expect((await ada.post('/api/week/to-come', { valve: {} })).status).toBe(400);
  });
});
