import { recordingsView } from '@dusk-wren/contract';
import { defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { appendFile, mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { landRecording, placeWaiting, tooLarge } from './database/recordings';
import { watchFolder } from './drops/folder';
import { binary, openShop, Screen, type Shop } from './testing/shop';

const STROKE = 'time (s),signal (%),travel (%)\n0,0,0\n1,50,49.5\n2,100,100\n3,50,51\n4,0,0\n';
const rows = (upTo: number) => STROKE.split('\n').slice(0, upTo).join('\n');
const soon = { timeout: 15_000, interval: 50 };
const at = new Date('2026-11-29T08:00:00.000Z');

describe('files that a rig leaves in a folder', () => {
  let shop: Shop;
  let ada: Screen;
  let lea: Screen;
  let job: string;
  let folder: string;
  let stop: (() => Promise<void>) | undefined;
  const ofTheJob = async () => recordingsView.parse((await ada.get(`/api/jobs/${job}/recordings`)).body);
  const files = async () => (await ofTheJob()).recordings.map(({ file }) => file);
  const whatCame = async () => recordingsView.parse((await lea.get('/api/setup/recordings')).body).recordings;
  const whyNot = async (file: string) => (await whatCame()).find((each) => each.file === file)?.why;

  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'dw-rig-'));
    shop = await openShop({ DROP_FOLDER: folder });
    [ada, lea] = [await Screen.open(shop, 'ada'), await Screen.open(shop, 'lea')];
    job = await ada.openJob(shop);
    await writeFile(join(folder, 'T-1 before the server.csv'), rows(4));
    stop = watchFolder(folder, pino({ level: 'silent' }), { whole: 200, between: 40 });
  });
  afterAll(async () => {
    await stop?.();
    await shop.close();
    await rm(folder, { recursive: true });
  });

  it('what lay there before is taken, and what comes lands on the job of its tag', async () => {
    await mkdir(join(folder, 'today'));
    await writeFile(join(folder, 'today', 't_1 stroke.csv'), STROKE);
    await vi.waitFor(async () => {
      expect((await files()).toSorted()).toEqual(['T-1 before the server.csv', 't_1 stroke.csv']);
    }, soon);
    const [one] = (await ofTheJob()).recordings.filter(({ file }) => file === 't_1 stroke.csv');
    expect(one).toMatchObject({ rows: 5, why: null, job });
    const sent = await ada.agent.get(`/api/jobs/${job}/recordings/${one?.id}`).buffer(true).parse(binary);
    expect([sent.status, String(sent.body), sent.headers['x-content-type-options']]).toEqual([
      200,
      STROKE,
      'nosniff',
    ]);
  });
  it('the same again, under another name even, is no second one', async () => {
    await writeFile(join(folder, 'T-1 stroke copied.csv'), STROKE);
    await writeFile(join(folder, 'T-1 marker.csv'), rows(3));
    await vi.waitFor(async () => expect(await files()).toContain('T-1 marker.csv'), soon);
    expect(await files()).not.toContain('T-1 stroke copied.csv');
    expect(await landRecording({ file: 'T-1 again.csv', body: Buffer.from(STROKE) }, at)).toBe(false);
  });
  it('one that is still being written is taken once it is whole', async () => {
    const path = join(folder, 'T-1 slow.csv');
    const lines = `${STROKE}5,0,0.1\n6,0,0.1\n`.split('\n').map((line) => `${line}\n`);
    for (const line of lines) {
      await appendFile(path, line);
      await new Promise((done) => setTimeout(done, 60));
    }
    await vi.waitFor(async () => expect(await files()).toContain('T-1 slow.csv'), soon);
    const slow = (await ofTheJob()).recordings.filter(({ file }) => file === 'T-1 slow.csv');
    expect(slow.map((each) => each.rows)).toEqual([7]);
  });
  it('what is no recording is told by its name, and what is none of a rig is left', async () => {
    await writeFile(join(folder, 'T-1 notes.txt'), 'the rig was cold');
    await writeFile(join(folder, 'T-1 picture.png'), 'no recording');
    await vi.waitFor(async () => expect(await whyNot('T-1 notes.txt')).toMatch(/no CSV/), soon);
    expect((await whatCame()).map(({ file }) => file)).not.toContain('T-1 picture.png');
    expect(await files()).not.toContain('T-1 notes.txt');
    await tooLarge('T-1 year.csv', '8 MB', at);
    await tooLarge('T-1 year.csv', '8 MB', at);
    expect((await whatCame()).filter(({ file }) => file === 'T-1 year.csv')).toHaveLength(1);
  });
  it('one of no open job waits for its job', async () => {
    await landRecording({ file: 'XV-77 stroke.csv', body: Buffer.from(`${STROKE}9,0,0\n`) }, at);
    expect(await whyNot('XV-77 stroke.csv')).toMatch(/no open job has the tag/);
    // The same file under the right name.
    expect(
      await landRecording({ file: 'T-1 (was XV-77).csv', body: Buffer.from(`${STROKE}9,0,0\n`) }, at),
    ).toBe(true);
    expect(await files()).toContain('T-1 (was XV-77).csv');
  });
  it('and finds it once it is opened', async () => {
    await landRecording({ file: 'T-2 stroke.csv', body: Buffer.from(`${STROKE}10,0,0\n`) }, at);
    const opened = await ada.post('/api/jobs', {
      ...{ commandId: randomUUID(), place: 'bare', reported: 'test' },
      valve: { new: { ...defaultValve(), tag: 'T-2' } },
    });
    expect([opened.status, opened.body]).toEqual([201, expect.anything()]);
    await placeWaiting();
    expect((await whatCame()).find(({ file }) => file === 'T-2 stroke.csv')).toMatchObject({
      job: opened.body.id,
      tag: 'T-2',
      why: null,
    });
  });
  it('a technician is not shown the folder, and another job not these', async () => {
    expect((await ada.get('/api/setup/recordings')).status).toBe(403);
    const [one] = (await ofTheJob()).recordings;
    const other = '00000000-0000-4000-8000-000000000000';
    expect((await ada.get(`/api/jobs/${other}/recordings/${one?.id}`)).status).toBe(404);
    expect((await ada.get(`/api/jobs/${job}/recordings/${encodeURIComponent("' OR 1=1")}`)).status).toBe(404);
  });
});
