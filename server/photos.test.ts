import { randomUUID } from 'node:crypto';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { JobRow, PhotoRow } from './database/models';
import { binary, openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
let job: string;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  job = await ada.openJob(shop);
});
afterAll(() => shop.close());

const colours = { width: 2400, height: 1200, channels: 3, background: '#6aa3ff' } as const;
const picture = () => sharp({ create: colours });
const send = (bytes: Buffer, type = 'image/jpeg', id: string = randomUUID(), on = job) =>
  ada.put(`/api/jobs/${on}/photos/${id}`, bytes, type);
const pin = (version: number, photo: string, caption: string) =>
  ada.command(job, version, { kind: 'add-photo', body: { photo, caption, part: 'stem' } });

describe('a photograph', () => {
  it.each(['png', 'jpeg', 'webp'] as const)('as %s is made smaller and kept as JPEG', async (format) => {
    const id = randomUUID();
    const answer = await send(await picture()[format]().toBuffer(), `image/${format}`, id);
    expect(answer.status).toBe(201);
    expect(answer.body).toEqual({ id, width: 1600, height: 800 });
    const back = await ada.get(`/api/jobs/${job}/photos/${id}`);
    expect(back.headers['content-type']).toBe('image/jpeg');
    expect(back.headers['x-content-type-options']).toBe('nosniff');
  });

  it('loses what was hidden in it: place, camera, words', async () => {
    const id = randomUUID();
    const exif = { IFD0: { Copyright: 'a secret place', Make: 'nobody' } };
    const bytes = await picture().withExif(exif).jpeg().toBuffer();
    expect(bytes.includes('a secret place')).toBe(true);
    await send(bytes, 'image/jpeg', id);
    const back = await ada.get(`/api/jobs/${job}/photos/${id}`);
    const kept = await sharp(back.body as Buffer).metadata();
    expect(kept.exif).toBeUndefined();
    expect((back.body as Buffer).includes('a secret place')).toBe(false);
  });

  it('sent twice under one id is kept once; under another job’s id it is refused', async () => {
    const id = randomUUID();
    const bytes = await picture().jpeg().toBuffer();
    expect((await send(bytes, 'image/jpeg', id)).status).toBe(201);
    expect((await send(bytes, 'image/jpeg', id)).status).toBe(201);
    expect((await send(bytes, 'image/jpeg', id, randomUUID())).status).toBe(404);
  });

  it('sent many times at once is kept once, and nobody hears of a failure', async () => {
    const id = randomUUID();
    const bytes = await picture().jpeg().toBuffer();
    const answers = await Promise.all(Array.from({ length: 6 }, () => send(bytes, 'image/jpeg', id)));
    expect(answers.map(({ status }) => status)).toEqual(Array(6).fill(201));
    expect(await PhotoRow.count({ where: { id } })).toBe(1);
  });

  it('too many at once are asked to come again, and the rest are kept', async () => {
    const bytes = await picture().jpeg().toBuffer();
    const answers = await Promise.all(Array.from({ length: 14 }, () => send(bytes)));
    const codes = answers.map(({ status }) => status);
    expect(new Set(codes)).toEqual(new Set([201, 429]));
    expect(answers.find(({ status }) => status === 429)?.headers['retry-after']).toBeDefined();
  });

  it('is asked for again before a browser shows it: after sign-out it is not shown', async () => {
    const id = randomUUID();
    await send(await picture().jpeg().toBuffer(), 'image/jpeg', id);
    const { headers } = await ada.get(`/api/jobs/${job}/photos/${id}`);
    expect(headers['cache-control']).toBe('private, no-cache');
    const again = await ada.agent
      .get(`/api/jobs/${job}/photos/${id}`)
      .set('if-none-match', String(headers['etag']));
    expect(again.status).toBe(304);
  });

  it('is not taken for a job that is closed, nor when it is larger than a camera’s', async () => {
    await JobRow.update({ state: 'released' }, { where: { id: job } });
    expect((await send(await picture().jpeg().toBuffer())).body.problem.code).toBe('job.released');
    await JobRow.update({ state: 'open' }, { where: { id: job } });
    const large = await send(Buffer.alloc(13 * 1024 * 1024));
    expect(large.status).toBe(413);
    expect(large.body.text).toMatch(/more than 12 MB/);
  });

  it.each([
    ['a page that calls itself a picture', Buffer.from('<script>alert(1)</script>'), 'image/png'],
    ['a drawing with scripts in it', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), 'image/png'],
    ['a picture broken off', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]), 'image/jpeg'],
    ['nothing', Buffer.alloc(0), 'image/jpeg'],
    ['a program', Buffer.from('MZ....'), 'application/octet-stream'],
  ])('%s is refused in words', async (_what, bytes, type) => {
    const answer = await send(bytes, type);
    expect(answer.status).toBe(415);
    expect(answer.body.text).toMatch(/This photograph was not kept/);
  });

  it('a GIF is not one of the three, whatever it says it is', async () => {
    expect((await send(await picture().gif().toBuffer(), 'image/jpeg')).status).toBe(415);
  });

  it('a few bytes that would unpack to a wall of pixels are refused before they are unpacked', async () => {
    const wall = { width: 12_000, height: 12_000, channels: 3, background: '#000000' } as const;
    const bytes = await sharp({ create: wall, limitInputPixels: false })
      .png({ compressionLevel: 9 })
      .toBuffer();
    expect(bytes.length).toBeLessThan(2_000_000);
    const answer = await send(bytes, 'image/png');
    expect(answer.status).toBe(415);
    expect(answer.body.text).toMatch(/40 megapixels/);
  });

  it('more than twelve megabytes is too large', async () => {
    expect((await send(Buffer.alloc(13_000_000, 7))).status).toBe(413);
  });

  it('a name that is no id is no path', async () => {
    for (const name of ['..%2F..%2Fetc%2Fpasswd', 'a.jpg', '%00'])
      expect((await ada.get(`/api/jobs/${job}/photos/${name}`)).status).toBe(400);
  });

  it('is pinned only where it was sent, and comes back in a zip with plain names', async () => {
    const id = randomUUID();
    await send(await picture().jpeg().toBuffer(), 'image/jpeg', id);
    expect((await pin(2, randomUUID(), 'not sent')).status).toBe(404);
    expect((await pin(2, id, '<b>../../stem</b> as found')).status).toBe(200);
    const zip = await ada.agent.get(`/api/jobs/${job}/photos.zip`).buffer(true).parse(binary);
    const names = Object.keys(unzipSync(new Uint8Array(zip.body as Buffer)));
    expect(names).toEqual(['0003-stem-b-stem-b-as-found.jpg']);
  });

  it('takes a person and their token', async () => {
    const bytes = await picture().jpeg().toBuffer();
    const nobody = await Screen.open(shop);
    expect((await nobody.put(`/api/jobs/${job}/photos/${randomUUID()}`, bytes, 'image/jpeg')).status).toBe(
      401,
    );
    expect((await nobody.get(`/api/jobs/${job}/photos/${randomUUID()}`)).status).toBe(401);
  });
});
