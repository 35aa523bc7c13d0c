import { commandView, jobView, staleView } from '@dusk-wren/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { EventRow, JobRow, ReceiptRow } from './database/models';
import { WordRow } from './database/register-models';
import { done, note, openShop, Screen, stripToRunout, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
let bo: Screen;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  bo = await Screen.open(shop, 'bo');
});
afterAll(() => shop.close());

const log = async (job: string) => jobView.parse((await ada.get(`/api/jobs/${job}`)).body);
async function freshJob(): Promise<string> {
  await JobRow.update({ openValveId: null }, { where: {} });
  return ada.openJob(shop);
}

describe('a working kept with a job', () => {
  const attach = (given: object, working = 'lathe.speed') => ({
    kind: 'attach-working',
    body: { working, given },
  });

  it('is worked again by the server: only what the core says is kept', async () => {
    const job = await freshJob();
    const answer = await ada.command(job, 2, attach({ diameter: '2 in', surfaceSpeed: '30 ft/min' }));
    expect(answer.status).toBe(200);
    const [entry] = commandView.parse(answer.body).entries;
    expect(entry).toMatchObject({
      kind: 'working-attached',
      body: { title: 'Lathe speed', answer: [{ label: 'Spindle speed', value: '57 rev/min' }] },
    });
  });

  it.each([
    ['unreadable input', attach({ diameter: '2 im', surfaceSpeed: '30 ft/min' })],
    ['an unknown working', attach({}, 'fishing')],
    ['more than a job should hold', attach({ diameter: 'x'.repeat(30_000) })],
    ['no input at all', { kind: 'attach-working', body: { working: 'lathe.speed' } }],
  ])('with %s is refused in words and stores nothing', async (_name, command) => {
    const job = await freshJob();
    const answer = await ada.command(job, 2, command);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    expect(answer.body).toMatchObject({ text: expect.stringMatching(/\w/) });
    expect((await log(job)).version).toBe(2);
  });
});

describe('a command', () => {
  it('is appended, answered with its entries and stamped with who and when by the server', async () => {
    const job = await freshJob();
    const answer = await ada.command(job, 2, done('receive.plate'));
    expect(answer.status).toBe(200);
    const [entry] = commandView.parse(answer.body).entries;
    expect(entry).toMatchObject({ seq: 3, kind: 'step-done', by: { id: shop.people.ada, name: 'ada' } });
    expect((await log(job)).version).toBe(3);
  });

  it('sent twice with one id has one effect and one answer (idempotency)', async () => {
    const job = await freshJob();
    const id = randomUUID();
    const first = await ada.command(job, 2, note('once'), id);
    await ada.command(job, 3, note('in between'));
    const again = await ada.command(job, 2, note('once'), id);
    expect(again.status).toBe(200);
    expect(again.body).toEqual(first.body);
    expect((await log(job)).entries.filter(({ kind }) => kind === 'note-added')).toHaveLength(2);
  });

  it('sent ten times at once with one id has one effect', async () => {
    const job = await freshJob();
    const id = randomUUID();
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => ada.command(job, 2, note('once'), id)),
    );
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 10 }, () => 200));
    expect(await EventRow.count({ where: { jobId: job, kind: 'note-added' } })).toBe(1);
    expect(await ReceiptRow.count({ where: { commandId: id } })).toBe(1);
  });

  it('on a stale base is answered 409 with what was missed, and stores nothing', async () => {
    const job = await freshJob();
    await ada.command(job, 2, note('first'));
    const late = await bo.command(job, 2, note('late'));
    expect(late.status).toBe(409);
    expect(staleView.parse(late.body)).toMatchObject({
      version: 3,
      missed: [{ seq: 3, kind: 'note-added' }],
    });
    expect((await log(job)).version).toBe(3);
  });

  it('of twenty writers on one base exactly one wins each round, and the log has no gap', async () => {
    const job = await freshJob();
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) => (i % 2 === 0 ? ada : bo).command(job, 2, note(`n${i}`))),
    );
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(19);
    expect((await log(job)).entries.map(({ seq }) => seq)).toEqual([1, 2, 3]);
  });

  it('refused by the core is answered in words and stores nothing', async () => {
    const job = await freshJob();
    const answer = await ada.command(job, 2, done('rebuild.bolt-up'));
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({
      problem: { code: 'step.waits' },
      text: expect.stringContaining('waits for'),
    });
    expect((await ada.command(job, 2, done('nowhere'))).body.problem.code).toBe('step.unknown');
    expect((await log(job)).version).toBe(2);
  });

  it('with a reading carries the instrument as the server knows it, overdue or not', async () => {
    const job = await freshJob();
    let version = await stripToRunout(ada, job);
    const readings = Array.from({ length: 12 }, () => '1 thou');
    const overdue = await ada.command(job, version++, {
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings, readBy: shop.lapsed },
    });
    expect(overdue.body.entries[0].body.readBy).toMatchObject({
      name: 'Dial 2',
      inCalibration: false,
      simulated: true,
    });
    const counted = await ada.command(job, version, {
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings, readBy: shop.dial },
    });
    expect(counted.status).toBe(200);
    const unknown = await ada.command(job, version + 1, {
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings, readBy: randomUUID() },
    });
    expect(unknown.status).toBe(422);
  });

  it('gives a job to a person of the database, whatever name was sent', async () => {
    const job = await freshJob();
    const answer = await ada.command(job, 2, {
      kind: 'assign-person',
      body: { person: { id: shop.people.bo, name: 'the king', role: 'lead' } },
    });
    expect(answer.body.entries[0].body.person).toEqual({
      id: shop.people.bo,
      name: 'bo',
      role: 'technician',
    });
  });
});

describe('opening a job', () => {
  it('twice with one id opens one; a valve has one open job', async () => {
    await JobRow.update({ openValveId: null }, { where: {} });
    const id = randomUUID();
    const first = await ada.openJob(shop, id);
    expect(await ada.openJob(shop, id)).toBe(first);
    const other = await ada.post('/api/jobs', {
      commandId: randomUUID(),
      valve: { id: shop.valve },
      place: 'bare',
      reported: '',
    });
    expect(other.status).toBe(409);
    expect(other.body.problem.code).toBe('valve.job-open');
  });
});

describe('lists', () => {
  it('are paged by key: every job once, in order, however small the page', async () => {
    for (let i = 0; i < 7; i++) await freshJob();
    const seen: string[] = [];
    let cursor: string | null = null;
    do {
      const answer = await ada.get(
        `/api/jobs?state=all&limit=3${cursor ? `&cursor=${encodeURIComponent(cursor)}` : ''}`,
      );
      expect(answer.status).toBe(200);
      seen.push(...answer.body.jobs.map((job: { id: string }) => job.id));
      cursor = answer.body.next;
    } while (cursor);
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen.length).toBe(await JobRow.count());
  });

  const found = async (q: string) =>
    (await ada.get(`/api/jobs?state=all&q=${encodeURIComponent(q)}`)).body.jobs.length as number;
  it('find jobs as the register finds their valves, by beginnings of words, with no wildcard in them', async () => {
    const all = await JobRow.count();
    expect(await found('T-1')).toBe(all);
    expect(await found('t1')).toBe(all);
    expect(await found('T-1 nothing')).toBe(0);
    expect(await found('%')).toBe(0);
  });
  it('find those of a word that more valves have than can be looked up one by one', async () => {
    const others = Array.from({ length: 600 }, (_, i) => ({ tag: `Z-${i}`, valveId: randomUUID() }));
    const valves = [...others, { tag: 'T-1', valveId: shop.valve }];
    await WordRow.bulkCreate(valves.map((each) => ({ ...each, word: 'ambling' })));
    expect(await found('ambling')).toBe(await JobRow.count());
    expect(await found('ambling T-2')).toBe(0);
    await WordRow.destroy({ where: { word: 'ambling' } });
  });
});
