import type { RegisterLine } from '@dusk-wren/contract';
import { defaultValve, type ConstructionId } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { WordRow } from './database/register-models';
import { fileValve } from './database/valves';
import { openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
const MANY = 130;
const ids = new Map<string, string>();
const file = (tag: string, given: object = {}, construction: ConstructionId = 'globe-bolted') =>
  shop.sequelize.transaction(async (transaction) => {
    const { id } = await fileValve({ ...defaultValve(construction), tag, ...given }, transaction);
    ids.set(tag, id);
    return id;
  });
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  await file('PSV-7', { customer: 'Mossgate', location: 'boiler 2, drum' }, 'relief-spring');
  await file('FV-22 B', { serial: 'K 61 004', customer: 'Mossgate', location: 'pan 6, vapour' });
  await file('FV-23', { customer: 'Tarn Edge', location: 'separator 4', plate: { model: 'G 80' } });
  await file('100%_X', { customer: 'Tarn Edge', location: 'évaporateur' });
  for (let i = 0; i < MANY; i++)
    await file(`HV-${String(1000 + i)}`, {
      customer: i % 2 === 0 ? 'Low Mill' : 'High Mill',
      location: 'row',
    });
}, 60_000);
afterAll(() => shop.close());

const find = async (query: Record<string, string>) => {
  const answer = await ada.get(`/api/register?${new URLSearchParams(query).toString()}`);
  expect(answer.status, JSON.stringify(answer.body)).toBe(200);
  return answer.body as { valves: RegisterLine[]; next: string | null };
};
const tags = async (query: Record<string, string>) => (await find(query)).valves.map(({ tag }) => tag);

describe('the register is found in', () => {
  it.each([
    ['fv22b', ['FV-22 B']],
    ['FV-22', ['FV-22 B']],
    ['HV-1007', ['HV-1007']],
    ['K 61 004', ['FV-22 B']],
    ['k61004', ['FV-22 B']],
    ['moss', ['FV-22 B', 'PSV-7']],
    ['moss pan', ['FV-22 B']],
    ['vapour mossgate', ['FV-22 B']],
    ['relief', ['PSV-7']],
    ['g80', ['FV-23']],
    ['evaporateur', ['100%_X']],
    ['100% x', ['100%_X']],
    ['moss separator', []],
    ['nowhere', []],
  ])('by “%s”', async (q, found) => expect(await tags({ q })).toEqual(found));

  it('no sign that a person types means anything', async () => {
    expect(await tags({ q: '%' })).toHaveLength(50);
    expect(await tags({ q: "' OR 1=1 --" })).toEqual([]);
  });

  it('all of it, a page after the other, each valve once and in the order of tags', async () => {
    for (const query of [{}, { q: 'mill' }, { q: 'hv1' }, { q: 'row globe' }] as Record<string, string>[]) {
      const seen: string[] = [];
      for (let cursor: string | null = ''; cursor !== null;) {
        const page = await find({ ...query, limit: '40', ...(cursor === '' ? {} : { cursor }) });
        seen.push(...page.valves.map(({ tag }) => tag));
        cursor = page.next;
      }
      expect(new Set(seen).size, JSON.stringify(query)).toBe(seen.length);
      expect(seen.length).toBe('q' in query ? MANY : MANY + 5);
      expect(seen).toEqual([...seen].sort((a, b) => (a < b ? -1 : 1)));
    }
  });

  it('by customer, construction and standing, with words or without', async () => {
    expect(await tags({ customer: 'Mossgate' })).toEqual(['FV-22 B', 'PSV-7']);
    expect(await tags({ construction: 'relief-spring' })).toEqual(['PSV-7']);
    expect(await tags({ q: 'hv', customer: 'Low Mill', limit: '100' })).toHaveLength(MANY / 2);
    expect(await tags({ standing: 'scrapped' })).toEqual([]);
    expect((await ada.get('/api/register?construction=teapot')).status).toBe(400);
    expect((await ada.get('/api/register?cursor=nonsense')).status).toBe(400);
  });
});

describe('as a file', () => {
  const csv = (...rows: string[]) => rows.map((row) => `${row}\r\n`).join('');
  const heading = 'tag,customer,kind,serial,place,size,class,medium,hazards,model,stands';
  let lea: Screen;
  beforeAll(async () => {
    lea = await Screen.open(shop, 'lea');
  });
  const look = async (text: string) =>
    (await lea.post('/api/setup/files/valves/preview', { csv: text })).body as {
      after: number;
      rows: { row: number; key: string; does: string; why: string[] }[];
    };

  it('comes out whole, and goes in again as the same', async () => {
    const { text } = await lea.get('/api/setup/files/valves.csv');
    const rows = text.trim().split('\r\n');
    expect(rows).toHaveLength(1 + MANY + 5);
    const part = [rows[0] ?? '', ...rows.filter((row) => /^(FV|PSV|T-1|100)/.test(row))];
    expect(part).toHaveLength(6);
    expect((await look(csv(...part))).rows.map(({ does }) => does)).toEqual(Array(5).fill('same'));
    expect((await ada.get('/api/setup/files/valves.csv')).status).toBe(403);
  });

  it('what cannot be meant is refused by its column; what is new, or moved, is written all at once', async () => {
    const bad = await look(
      csv(
        heading,
        'X-1,Low Mill,teapot,,,,,,,,',
        'X-2,Low Mill,globe-bolted,,row 9,NPS 3 1/7,,,,,',
        'X-3,Low Mill,globe-bolted,,row 9,,310,,,,',
        'X-4,Low Mill,globe-bolted,,row 9,,,Steam,warm,,',
        'X-5,Low Mill,globe-bolted,,row 9,,,,,,lost',
        'FV-23,Tarn Edge,gate-wedge,,,,,,,,',
      ),
    );
    expect(bad.rows.map(({ does }) => does)).toEqual(Array(6).fill('bad'));
    expect(bad.rows.map(({ why }) => /^[a-z]+/.exec(why[0] ?? '')?.[0])).toEqual([
      ...['kind', 'size', 'class', 'hazards', 'stands', 'kind'],
    ]);
    expect(bad.rows.map(({ why }) => why.join()).join()).not.toMatch(/Invalid|expected/);
    const text = csv(
      heading,
      'X-7,Low Mill,"Globe, bolted bonnet",K 9,row 9,NPS 3,300,Steam,hot,G 80,spare',
      'FV-23,Tarn Edge,globe-bolted,,separator 5,,,,,,',
    );
    const { rows, after } = await look(text);
    expect(rows.map(({ key, does }) => `${key} ${does}`)).toEqual([
      'Low Mill: X-7 new',
      'Tarn Edge: FV-23 change',
    ]);
    const taken = await lea.post('/api/setup/files/valves', { csv: text, after });
    expect(taken.body).toMatchObject({ written: 2, skipped: 0 });
    expect((await find({ q: 'x7 hot' })).valves).toEqual([]);
    expect((await find({ q: 'x7 steam', standing: 'spare' })).valves).toMatchObject([
      { tag: 'X-7', serial: 'K 9', location: 'row 9', medium: 'Steam', size: 'NPS 3 · 300' },
    ]);
    expect(await tags({ q: 'separator 5' })).toEqual(['FV-23']);
    expect((await lea.get('/api/setup/changes?q=valves by a file')).body.changes).toHaveLength(1);
  });
});

describe('a valve', () => {
  const page = async (tag: string) => (await ada.get(`/api/register/${ids.get(tag)}`)).body;
  const move = (tag: string, body: object) => ada.post(`/api/register/${ids.get(tag)}/move`, body);
  const open = (tag: string) =>
    ada.post('/api/jobs', {
      commandId: randomUUID(),
      valve: { id: ids.get(tag) },
      place: 'bare',
      reported: 'passes',
    });

  it('has its jobs, the newest first, with what each was for', async () => {
    const opened = await open('FV-23');
    expect(opened.status).toBe(201);
    const seen = await page('FV-23');
    expect(seen).toMatchObject({
      standing: 'in place',
      jobs: [{ job: { id: opened.body.id }, scope: 'overhaul', reported: 'passes', by: { name: 'ada' } }],
    });
    const [line] = (await find({ q: 'fv23' })).valves;
    expect(line).toMatchObject({ open: opened.body.id, jobs: 1 });
    expect((await ada.get(`/api/register/${randomUUID()}`)).status).toBe(404);
    expect((await ada.get('/api/register/nonsense')).status).toBe(400);
  });

  it('has its photographs, the latest first, without one that was struck', async () => {
    const { jobs } = await page('FV-23');
    const job = String(jobs[0].job.id);
    const versionNow = async () => Number((await ada.get(`/api/jobs/${job}`)).body.version);
    const colours = { width: 40, height: 30, channels: 3, background: '#6aa3ff' } as const;
    const bytes = await sharp({ create: colours }).jpeg().toBuffer();
    for (const caption of ['as it came', 'the seat']) {
      const photo = randomUUID();
      await ada.put(`/api/jobs/${job}/photos/${photo}`, bytes, 'image/jpeg');
      const pin = { kind: 'add-photo', body: { photo, caption, part: 'seat' } };
      expect((await ada.command(job, await versionNow(), pin)).status).toBe(200);
    }
    const captions = async () =>
      ((await page('FV-23')).photos as { caption: string }[]).map(({ caption }) => caption);
    expect(await captions()).toEqual(['the seat', 'as it came']);
    const last = await versionNow();
    const strike = { kind: 'strike-entry', body: { entry: last, reason: 'another valve' } };
    expect((await ada.command(job, last, strike)).status).toBe(200);
    expect(await captions()).toEqual(['as it came']);
  });

  it('is moved, found where it is and no more where it was, and says who moved it and why', async () => {
    const moved = await move('PSV-7', { location: 'boiler 3, drum', why: 'swapped at the stop' });
    expect(moved.body).toMatchObject({
      valve: { location: 'boiler 3, drum' },
      changes: [{ by: 'ada', what: 'at boiler 3, drum, was at boiler 2, drum: swapped at the stop' }],
    });
    expect(await tags({ q: 'psv boiler 3' })).toEqual(['PSV-7']);
    expect(await tags({ q: 'psv 2' })).toEqual([]);
    expect(await tags({ q: 'PSV-7' })).toEqual(['PSV-7']);
    const taken = await move('PSV-7', { tag: 'FV-22 B' });
    expect([taken.status, taken.body.problem.code]).toEqual([409, 'name.taken']);
    expect((await move('PSV-7', {})).status).toBe(400);
    expect((await page('PSV-7')).changes).toHaveLength(1);
  });

  it('scrapped, no job is opened on it; back as a spare, one is', async () => {
    expect((await move('FV-23', { standing: 'scrapped' })).body.problem.code).toBe('valve.job-open');
    expect((await move('PSV-7', { standing: 'scrapped', why: 'cracked nozzle' })).status).toBe(200);
    expect(await tags({ standing: 'scrapped' })).toEqual(['PSV-7']);
    expect((await open('PSV-7')).body.problem.code).toBe('valve.scrapped');
    expect((await move('PSV-7', { standing: 'spare' })).body.changes[0].what).toBe('a spare');
    expect((await open('PSV-7')).status).toBe(201);
  });

  it('one that is scrapped while a job is opened on it is one or the other, never both', async () => {
    for (let i = 0; i < 12; i++) {
      const tag = `RACE-${i}`;
      await file(tag, { customer: 'Race', location: 'row' });
      const [opened, scrapped] = await Promise.all([open(tag), move(tag, { standing: 'scrapped' })]);
      expect([opened.status, scrapped.status].sort(), tag).not.toEqual([200, 201]);
      const seen = await page(tag);
      expect(seen.standing === 'scrapped' && seen.jobs.length > 0, tag).toBe(false);
    }
  });

  it('two who move it at once move it one after the other', async () => {
    const answers = await Promise.all(
      ['pan 1', 'pan 2', 'pan 3'].map((location) => move('FV-22 B', { location })),
    );
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    const { valve, changes } = await page('FV-22 B');
    expect(changes).toHaveLength(3);
    expect(changes[0].what).toMatch(new RegExp(`^at ${valve.location}, was at`));
    const words = await WordRow.findAll({ where: { valveId: ids.get('FV-22 B') ?? '' } });
    expect(words.map(({ word }) => word)).toContain(valve.location.slice(-1));
  });
});
