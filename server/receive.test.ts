import { defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sheetFor } from './database/makers-sheets';
import { EventRow, FaultCountRow, SheetRow } from './database/models';
import { done, note, openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
let lea: Screen;
beforeAll(async () => {
  shop = await openShop();
  [ada, lea] = await Promise.all([Screen.open(shop, 'ada'), Screen.open(shop, 'lea')]);
});
afterAll(() => shop.close());

/** Opens a job on a new valve; answers its id and its log. */
async function receive(tag: string, change: object = {}, place = 'bare') {
  const answer = await ada.post('/api/jobs', {
    commandId: randomUUID(),
    valve: { new: { ...defaultValve(), tag, customer: 'none', location: 'bench', ...change } },
    place,
    reported: 'test',
  });
  expect(answer.status, JSON.stringify(answer.body)).toBe(201);
  const id = String(answer.body.id);
  const { body } = await ada.get(`/api/jobs/${id}`);
  return { id, version: Number(body.version), kinds: body.entries.map(({ kind }: { kind: string }) => kind) };
}
const sheet = (model: string, revision = 'C', value = '95 ft-lb') => ({
  kind: 'file-makers-sheet',
  body: { sheet: { model, revision, figures: { jointTorque: { value, page: '31' } } } },
});

const check = (filed: number) => ({ kind: 'check-makers-sheet', body: { filed } });

describe('the maker’s sheet, typed once', () => {
  it('is used for every valve of its model from then on, however the model is written', async () => {
    const first = await receive('M-1', { plate: { model: 'H 7' } });
    expect(first.kinds).not.toContain('makers-sheet-filed');
    expect((await ada.command(first.id, first.version, sheet('H 7'))).status).toBe(200);
    expect((await receive('M-0', { plate: { model: 'H 7' } })).kinds).not.toContain('makers-sheet-filed');
    expect((await ada.command(first.id, first.version + 1, check(first.version + 1))).status).toBe(403);
    expect((await lea.command(first.id, first.version + 1, check(first.version + 1))).status).toBe(200);
    const second = await receive('M-2', { plate: { model: 'h7' } });
    expect(second.kinds).toContain('makers-sheet-filed');
    const other = await receive('M-3', { plate: { model: 'H 8' } });
    expect(other.kinds).not.toContain('makers-sheet-filed');
    expect((await receive('M-4')).kinds).not.toContain('makers-sheet-filed');
  });
  it('a newer revision takes its place; jobs under way keep what they were opened with', async () => {
    const before = await receive('M-5', { plate: { model: 'R 1' } });
    await lea.command(before.id, before.version, sheet('R 1', 'A'));
    const running = await receive('M-6', { plate: { model: 'R 1' } });
    await lea.command(before.id, before.version + 1, sheet('R 1', 'B', '90 ft-lb'));
    const revisionOf = async (job: string) => {
      const { body } = await ada.get(`/api/jobs/${job}`);
      return body.entries.findLast(({ kind }: { kind: string }) => kind === 'makers-sheet-filed').body.sheet
        .revision;
    };
    expect(await revisionOf(running.id)).toBe('A');
    expect(await revisionOf((await receive('M-7', { plate: { model: 'R 1' } })).id)).toBe('B');
  });
  it('struck, or its check struck, the one before is the shop’s again', async () => {
    const job = await receive('M-10', { plate: { model: 'S 4' } });
    await lea.command(job.id, job.version, sheet('S 4', 'A'));
    await ada.command(job.id, job.version + 1, sheet('S 4', 'B'));
    await lea.command(job.id, job.version + 2, check(job.version + 2));
    const revision = async () => (await sheetFor('S 4'))?.revision;
    expect(await revision()).toBe('B');
    const strike = (entry: number) => ({ kind: 'strike-entry', body: { entry, reason: 'misread' } });
    await lea.command(job.id, job.version + 3, strike(job.version + 3));
    expect(await revision()).toBe('A');
    await lea.command(job.id, job.version + 4, strike(job.version + 1));
    expect(await revision()).toBeUndefined();
  });
  it('of a plate without a model stays on its job, whoever types it', async () => {
    const job = await receive('M-11');
    expect((await lea.command(job.id, job.version, sheet('Z 9'))).status).toBe(200);
    expect(await SheetRow.count({ where: { model: 'Z9' } })).toBe(0);
  });
  it('for another model than the plate’s is refused, and nothing is filed', async () => {
    const job = await receive('M-8', { plate: { model: 'Q 2' } });
    const answer = await ada.command(job.id, job.version, sheet('Q 3'));
    expect(answer.status).toBe(422);
    expect(answer.body.text).toMatch(/for Q 3, the plate says Q 2/);
    expect(await SheetRow.count({ where: { model: 'Q3' } })).toBe(0);
  });
  it('the same command sent twice files it once', async () => {
    const job = await receive('M-9', { plate: { model: 'T 5' } });
    const id = randomUUID();
    await ada.command(job.id, job.version, sheet('T 5'), id);
    const again = await ada.command(job.id, job.version, sheet('T 5'), id);
    expect(again.status).toBe(200);
    expect(again.body.version).toBe(job.version + 1);
    const another = await lea.command(job.id, job.version, sheet('T 5'), id);
    expect(another.body.problem.code).toBe('command.other-answer');
  });
});

describe('valves that one being typed in could be taken for', () => {
  beforeAll(async () => {
    await receive('PV-4410', { serial: 'K 20 118' });
    await receive('PV-4411', { serial: 'K 20 119' });
  });
  const like = async (query: string) => (await ada.get(`/api/valves/like?${query}`)).body.like;
  it('the same tag however it is written', async () => {
    expect(await like('tag=pv%204410')).toMatchObject([
      { tag: 'PV-4410', likeness: 'same valve' },
      { tag: 'PV-4411', likeness: 'near tag' },
    ]);
  });
  it('the same serial under another tag', async () => {
    expect(await like('tag=XX-9&serial=k-20-118')).toMatchObject([
      { tag: 'PV-4410', likeness: 'same serial, other tag' },
    ]);
  });
  it('the same tag with another serial', async () => {
    const [found] = await like('tag=PV-4410&serial=Z1');
    expect(found).toMatchObject({ likeness: 'same tag, other serial' });
  });
  it('two neighbours swapped', async () => {
    expect(await like('tag=PV-4401')).toMatchObject([{ tag: 'PV-4410', likeness: 'near tag' }, {}]);
  });
  it('nothing like it: nothing said; wildcards find nothing', async () => {
    expect(await like('tag=QQ-1')).toEqual([]);
    expect(await like('tag=%25%25%25%25')).toEqual([]);
    expect(await like('tag=')).toEqual([]);
  });
  it('takes a person, and a tag of tag’s length', async () => {
    expect((await (await Screen.open(shop)).get('/api/valves/like?tag=PV-4410')).status).toBe(401);
    expect((await ada.get(`/api/valves/like?tag=${'x'.repeat(41)}`)).status).toBe(400);
  });
});

describe('the fault finder on the server', () => {
  const place = (cause: string) => ({
    kind: 'place-fault',
    body: { step: 'diagnose.place', symptom: 'passes when shut', cause },
  });
  const evidence = (check: string, result: number) => ({
    kind: 'take-evidence',
    body: { symptom: 'passes when shut', check, result, readBy: 'hand' },
  });
  it('takes answers in any order, refuses those a valve cannot give, and places a fault', async () => {
    const job = await receive('F-1', {}, 'in line');
    let { version } = job;
    expect((await ada.command(job.id, version, evidence('weep hole', 1))).status).toBe(422);
    expect((await ada.command(job.id, version, evidence('flush', 7))).status).toBe(422);
    expect((await ada.command(job.id, version++, evidence('flush', 1))).status).toBe(200);
    expect((await ada.command(job.id, version, place('debris'))).body.problem.code).toBe('step.waits');
    await ada.command(job.id, version++, done('receive.plate'));
    await ada.command(job.id, version++, {
      kind: 'match-spares',
      body: { step: 'receive.spares', laid: [{ what: 'kit' }] },
    });
    await ada.command(job.id, version++, done('diagnose.report'));
    expect((await ada.command(job.id, version, place('supply low'))).status).toBe(422);
    const placed = await ada.command(job.id, version, place('debris'));
    expect(placed.status).toBe(200);
    expect(placed.body.entries[0].body.chance).toBeGreaterThan(0.7);
  });
  it('an open job teaches nothing yet', async () => {
    expect((await ada.get('/api/fault-counts')).body).toEqual({ counts: [] });
  });
  it('what was counted is told by symptom and cause', async () => {
    await FaultCountRow.create({ symptom: 'weeps', cause: 'debris', count: 4 });
    expect((await ada.get('/api/fault-counts')).body.counts).toEqual([
      { symptom: 'weeps', cause: 'debris', count: 4 },
    ]);
  });
});

describe('what was done without a connection', () => {
  const late = (job: string, baseVersion: number, text: string, doneAt: string) =>
    ada.post(`/api/jobs/${job}/commands`, {
      baseVersion,
      commandId: randomUUID(),
      command: note(text),
      doneAt,
    });
  const minutesAgo = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
  it('keeps the time at which it was done, when that fits into the log', async () => {
    const job = await receive('O-1');
    await EventRow.update({ at: minutesAgo(10) }, { where: { jobId: job.id } });
    const before = minutesAgo(5);
    const answer = await late(job.id, job.version, 'in the pit', before);
    const [entry] = answer.body.entries;
    expect(entry.at).toBe(before);
    expect(Date.parse(entry.receivedAt)).toBeGreaterThan(Date.parse(before));
    const { body } = await ada.get(`/api/jobs/${job.id}`);
    expect(body.entries.at(-1)).toEqual(entry);
  });
  it('a moment of days ago makes no lapsed instrument good, and of weeks ago is not believed', async () => {
    const job = await receive('O-5');
    const daysAgo = (days: number) => minutesAgo(days * 24 * 60);
    await EventRow.update({ at: daysAgo(40) }, { where: { jobId: job.id } });
    const read = (baseVersion: number, doneAt: string) =>
      ada.post(`/api/jobs/${job.id}/commands`, {
        baseVersion,
        commandId: randomUUID(),
        doneAt,
        command: {
          kind: 'take-evidence',
          body: { symptom: 'passes when shut', check: 'flush', result: 1, readBy: shop.lapsed },
        },
      });
    // The dial was due three days ago: when its device says it was read, it still was in calibration.
    const answer = await read(job.version, daysAgo(3.5));
    expect(answer.status, JSON.stringify(answer.body)).toBe(200);
    const [entry] = answer.body.entries;
    expect(Date.parse(entry.at)).toBeLessThan(Date.now() - 3 * 86_400_000);
    expect(entry.body.readBy.inCalibration).toBe(false);
    const old = await read(job.version + 1, daysAgo(20));
    expect(Math.abs(Date.parse(old.body.entries[0].at) - Date.now())).toBeLessThan(20_000);
    expect(old.body.entries[0].receivedAt).toBeUndefined();
  });
  it('a clock that runs ahead, or before the last entry, is not believed', async () => {
    const job = await receive('O-2');
    for (const wrong of [minutesAgo(-90), minutesAgo(600)]) {
      const { version } = (await ada.get(`/api/jobs/${job.id}`)).body;
      const answer = await late(job.id, version, 'when?', wrong);
      expect(Math.abs(Date.parse(answer.body.entries[0].at) - Date.now())).toBeLessThan(20_000);
    }
  });
  it('a moment that is none is refused, and nothing is stored', async () => {
    const job = await receive('O-3');
    expect((await late(job.id, job.version, 'x', 'yesterday')).status).toBe(400);
    expect((await ada.get(`/api/jobs/${job.id}`)).body.version).toBe(job.version);
  });
  it('somebody else was faster: what was missed comes back, nothing is overwritten', async () => {
    const job = await receive('O-4');
    await lea.command(job.id, job.version, note('from the office'));
    const answer = await late(job.id, job.version, 'from the pit', minutesAgo(0));
    expect(answer.status).toBe(409);
    expect(answer.body.missed).toHaveLength(1);
  });
});
