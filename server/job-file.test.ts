import { unzipSync, zipSync } from 'fflate';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { JobRow, PhotoRow } from './database/models';
import { binary, openShop, Screen, type Shop } from './testing/shop';

/** Noise does not get smaller: with so many of it a file is larger than any log may be. */
const PHOTOS = 17;
let shop: Shop;
let job: string;
let file: Buffer;
let sent: string[];
beforeAll(async () => {
  shop = await openShop();
  const ada = await Screen.open(shop, 'ada');
  job = await ada.openJob(shop);
  const raw = { width: 1600, height: 1600, channels: 3 } as const;
  const noise = await sharp(randomBytes(raw.width * raw.height * raw.channels), { raw })
    .jpeg()
    .toBuffer();
  sent = Array.from({ length: PHOTOS }, () => randomUUID());
  for (const [i, id] of sent.entries()) {
    expect((await ada.put(`/api/jobs/${job}/photos/${id}`, noise, 'image/jpeg')).status).toBe(201);
    const body = { photo: id, caption: `view ${i}`, part: 'stem' };
    expect((await ada.command(job, 2 + i, { kind: 'add-photo', body })).status).toBe(200);
  }
  file = await exportOf(ada, job);
});
afterAll(() => shop.close());

async function exportOf(screen: Screen, id: string): Promise<Buffer> {
  const answer = await screen.agent.get(`/api/jobs/${id}/export.zip`).buffer(true).parse(binary);
  expect(answer.headers['content-type']).toBe('application/zip');
  return answer.body as Buffer;
}
const bringIn = (screen: Screen, bytes: Uint8Array) =>
  screen.put('/api/jobs/import', Buffer.from(bytes), 'application/zip');
const sumOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
/** The photographs that are kept, by their ids. */
const photosHere = async () =>
  new Map((await PhotoRow.findAll()).map(({ id, body }) => [id, sumOf(body)] as const));
const lyingAbout = () => readdirSync(tmpdir()).filter((name) => name.startsWith('dusk-wren-sent-')).length;

describe('a job as one file, photographs and all', () => {
  it('holds its log and every picture that it pins', () => {
    const files = unzipSync(file);
    expect(Object.keys(files)).toEqual(['job.json', ...sent.map((id) => `photos/${id}.jpg`)]);
    expect(file.length).toBeGreaterThan(25 * 1024 * 1024);
    const { entries } = JSON.parse(Buffer.from(files['job.json'] ?? []).toString()) as { entries: unknown[] };
    expect(entries).toHaveLength(2 + PHOTOS);
  });

  it('comes back whole in another shop: the same log, the same pictures to the byte', async () => {
    const before = await photosHere();
    const there = await openShop();
    const lead = await Screen.open(there, 'lea');
    const answer = await bringIn(lead, file);
    expect(answer.status, JSON.stringify(answer.body)).toBe(201);
    expect(answer.body).toEqual({ id: job, photos: { taken: PHOTOS, missing: 0 } });
    expect(await photosHere()).toEqual(before);
    const { entries } = (await lead.get(`/api/jobs/${job}`)).body;
    expect(entries.at(-1)).toMatchObject({ kind: 'job-imported', body: { file: sumOf(file) } });
    const again = unzipSync(await exportOf(lead, job));
    for (const id of sent) expect(sumOf(again[`photos/${id}.jpg`] ?? new Uint8Array())).toBe(before.get(id));
    expect((await bringIn(lead, file)).body.problem.code).toBe('import.exists');
    const technician = await Screen.open(there, 'ada');
    expect((await bringIn(technician, file)).status).toBe(403);
    expect(lyingAbout()).toBe(0);
    await there.close();
  });

  it('says how many pictures were not in it, and takes nothing that no entry pins', async () => {
    const there = await openShop();
    const lead = await Screen.open(there, 'lea');
    const { 'job.json': log = new Uint8Array(), [`photos/${sent[0]}.jpg`]: one = new Uint8Array() } =
      unzipSync(file);
    const some = {
      [`photos/${sent[0]}.jpg`]: one,
      [`photos/${randomUUID()}.jpg`]: one,
      '../../etc/passwd': one,
      'job.json': log,
    };
    const answer = await bringIn(lead, zipSync(some));
    expect(answer.body).toEqual({ id: job, photos: { taken: 1, missing: PHOTOS - 1 } });
    expect([...(await photosHere()).keys()]).toEqual([sent[0]]);
    await there.close();
  });

  it.each([
    ['one picture is none', { [`photos/ID.jpg`]: Buffer.from('no picture') }, 'photo.unreadable'],
    ['it holds no log', { 'job.json': undefined }, 'request.invalid'],
    ['its log is no JSON', { 'job.json': Buffer.from('{') }, 'request.not-json'],
    [
      'its log is nested without end',
      { 'job.json': Buffer.from('['.repeat(900) + ']'.repeat(900)) },
      'request.invalid',
    ],
    [
      'its log unpacks to more than any log',
      { 'job.json': Buffer.alloc(26 * 1024 * 1024, 32) },
      'request.invalid',
    ],
  ] as const)('is refused whole where %s', async (_what, change, code) => {
    const there = await openShop();
    const lead = await Screen.open(there, 'lea');
    const { 'job.json': log = new Uint8Array() } = unzipSync(file);
    const files: Record<string, Uint8Array> = { 'job.json': log };
    for (const [name, bytes] of Object.entries(change))
      if (bytes) files[name.replace('ID', sent[0] ?? '')] = bytes;
      else delete files[name];
    const answer = await bringIn(lead, zipSync({ ...files, 'other.txt': Buffer.from('x') }));
    expect(answer.body.problem.code).toBe(code);
    expect([await JobRow.count(), await PhotoRow.count()]).toEqual([0, 0]);
    await there.close();
  });

  it('what is no zip is said to be none, and nothing is left lying about', async () => {
    const lead = await Screen.open(shop, 'lea');
    for (const bytes of [Buffer.from('not a zip at all'), file.subarray(0, 2000), Buffer.alloc(0)]) {
      const { status, body } = await bringIn(lead, bytes);
      expect(status).toBe(400);
      expect(body.problem.code).toBe('request.invalid');
    }
    expect(lyingAbout()).toBe(0);
  });
});
