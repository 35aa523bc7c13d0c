import { jobExport, jobView } from '@dusk-wren/contract';
import { commandId, fold, personStamp } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { spawnSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { STORIES } from './demo/scenario';
import { seedDemo } from './demo/seed';
import { commit } from './database/commit';
import { EventRow, InstrumentRow, JobRow, PersonRow } from './database/models';
import { binary, note, openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let lea: Screen;
let released: string;
beforeAll(async () => {
  shop = await openShop();
  const people = await PersonRow.findAll({ raw: true });
  await PersonRow.destroy({ where: {} });
  await InstrumentRow.destroy({ where: {} });
  const signed = STORIES.filter(({ until }) => until === 'signed');
  await seedDemo(shop.sequelize, () => undefined, { stories: signed, past: [] });
  await PersonRow.bulkCreate(people);
  lea = await Screen.open(shop, 'lea');
  const { body } = await lea.get('/api/jobs?state=released');
  released = body.jobs[0].id;
});
afterAll(() => shop.close());

describe('the certificate on paper', () => {
  it('is a PDF with our fonts inside, in both unit systems', async () => {
    for (const units of ['US', 'SI']) {
      const answer = await lea.agent
        .get(`/api/jobs/${released}/certificate.pdf?units=${units}`)
        .buffer(true)
        .parse(binary);
      expect(answer.status).toBe(200);
      expect(answer.headers['content-type']).toBe('application/pdf');
      const text = answer.body.toString('latin1');
      expect(text.startsWith('%PDF-')).toBe(true);
      expect(text).toMatch(/AtkinsonHyperlegible/);
      expect(text).toMatch(/BarlowSemiCondensed/);
      expect(Number(/\/Count (\d+)/.exec(text)?.[1])).toBeGreaterThanOrEqual(2);
    }
  });
});

describe('a paper and its record', () => {
  const page = async (first: number): Promise<string> => {
    const pdf = await lea.agent.get(`/api/jobs/${released}/certificate.pdf`).buffer(true).parse(binary);
    const { stdout } = spawnSync('pdftotext', ['-layout', '-f', `${first}`, '-l', `${first}`, '-', '-'], {
      input: pdf.body as Buffer,
    });
    return stdout.toString('utf8').replace(/\s+/g, ' ');
  };
  const codeNow = async (): Promise<string> => (await lea.get(`/api/jobs/${released}/paper-code`)).body.code;

  it('the first page says it all: set, tested, renewed, next due, holds and signature, and its code', async () => {
    const first = await page(1);
    for (const words of [
      'Set and tested',
      'Tests',
      'Renewed:',
      'Next overhaul due',
      'released by',
      'Signed by',
    ])
      expect(first).toContain(words);
    expect(first).not.toContain('In detail');
    expect(first).toContain(await codeNow());
    expect(await page(2)).toContain('In detail');
  });
  it('its code opens its record, typed as it may be, and says that it is the same', async () => {
    const code = await codeNow();
    for (const typed of [code, code.toLowerCase(), code.replaceAll('-', ' ')]) {
      const { body } = await lea.get(`/api/papers/${encodeURIComponent(typed)}`);
      expect(body).toMatchObject({ job: released, standing: 'same', corrected: 0 });
    }
  });
  it('one figure otherwise in the record, and the paper is of no record any more', async () => {
    const code = await codeNow();
    const row = await EventRow.findOne({ where: { jobId: released, kind: 'measured' } });
    if (!row) throw new Error('nothing was measured');
    const body = row.body;
    await row.update({ body: body.replace(/"value":(\d)/, '"value":1$1') });
    expect((await lea.get(`/api/papers/${code}`)).status).toBe(404);
    await row.update({ body });
    expect((await lea.get(`/api/papers/${code}`)).status).toBe(200);
  });
  it.each(['', 'AB', 'ZZZZ-ZZZZ-ZZZZ-ZZZZ-ZZZZ', '0000-0000-0000-0000-0000', '%25'])(
    '“%s” is no code of a paper here',
    async (code) => {
      expect((await lea.get(`/api/papers/${code}`)).status).toBe(404);
    },
  );
});

const sha256 = (body: unknown) => createHash('sha256').update(JSON.stringify(body)).digest('hex');

/** The words of a PDF, read by another program than the one that wrote it. */
async function wordsOf(screen: Screen, path: string): Promise<string> {
  const pdf = await screen.agent.get(path).buffer(true).parse(binary);
  const { stdout } = spawnSync('pdftotext', ['-layout', '-', '-'], { input: pdf.body as Buffer });
  return stdout.toString('utf8').replace(/\s+/g, ' ');
}

describe('export and import', () => {
  it('an exported job goes into an empty system and is the same job', async () => {
    const exported = jobExport.parse((await lea.get(`/api/jobs/${released}/export.json`)).body);
    const original = jobView.parse((await lea.get(`/api/jobs/${released}`)).body);
    const empty = await openShop();
    const there = await Screen.open(empty, 'lea');
    const answer = await there.post('/api/jobs/import', exported);
    expect(answer.status).toBe(201);
    const copy = jobView.parse((await there.get(`/api/jobs/${released}`)).body);
    expect(copy.entries.slice(0, -1)).toEqual(original.entries);
    expect(copy.entries.at(-1)).toMatchObject({
      kind: 'job-imported',
      by: { id: empty.people.lea },
      body: { file: sha256(exported), exportedAt: exported.exportedAt, refusedInAll: 0, refused: [] },
    });
    expect(must(plan(must(fold(copy.entries))))?.steps).toHaveLength(
      must(plan(must(fold(original.entries))))?.steps.length ?? 0,
    );
    for (const paper of ['certificate', 'job-sheet'])
      expect(await wordsOf(there, `/api/jobs/${released}/${paper}.pdf`), paper).toMatch(
        /Imported, not checked here: brought in by lea, lead, .*from file [0-9a-f]{16}/s,
      );
    expect((await there.get('/api/jobs?state=released')).body.jobs).toHaveLength(1);
    const again = await there.post('/api/jobs/import', exported);
    expect(again.status).toBe(409);
    const technician = await Screen.open(empty, 'ada');
    expect((await technician.post('/api/jobs/import', exported)).status).toBe(403);
    await empty.close();
  });

  it('what was made up comes in marked, with every entry that would have been refused', async () => {
    const empty = await openShop();
    const there = await Screen.open(empty, 'lea');
    const id = await there.openJob(empty);
    const exported = jobExport.parse((await there.get(`/api/jobs/${id}/export.json`)).body);
    await JobRow.update({ openValveId: null }, { where: { id } });
    const step = { id: 'release.sign', title: 'Sign', stage: 'release' };
    const by = { id: randomUUID(), name: 'Nobody At All', role: 'inspector' };
    const forged = {
      ...exported,
      job: { ...exported.job, id: randomUUID() },
      entries: [
        ...exported.entries,
        {
          ...exported.entries[0],
          format: 1,
          seq: 3,
          commandId: randomUUID(),
          by,
          kind: 'certificate-signed',
          body: { step, nextDue: '2031-01-01' },
        },
      ],
    };
    const answer = await there.post('/api/jobs/import', forged);
    expect(answer.status, JSON.stringify(answer.body)).toBe(201);
    const copy = jobView.parse((await there.get(`/api/jobs/${String(answer.body.id)}`)).body);
    expect(copy.entries.at(-1)).toMatchObject({
      kind: 'job-imported',
      body: { refusedInAll: 1, refused: [{ seq: 3, why: expect.stringMatching(/waits for/) }] },
    });
    const { jobs } = (await there.get('/api/jobs?state=released')).body;
    expect(jobs).toMatchObject([{ summary: { state: 'released', imported: true } }]);

    const changed = (change: object) => ({ ...forged, job: { ...forged.job, id: randomUUID() }, ...change });
    const code = async (change: object) =>
      (await there.post('/api/jobs/import', changed(change))).body.problem?.code;
    const last = forged.entries.at(-1);
    const first = forged.entries.slice(0, 2);
    expect(await code({ entries: [...first, { ...last, by: { ...by, id: empty.people.ada } }] })).toBe(
      'import.person',
    );
    for (const at of ['9999-01-01T00:00:00Z', '0001-01-01T00:00:00Z', '1990-05-05T00:00:00Z'])
      expect(await code({ entries: [...first, { ...last, at }] }), at).toBe('import.moment');
    const long = `2026-11-25T08:00:00.${'1'.repeat(60)}Z`;
    expect(await code({ entries: [...first, { ...last, at: long }] })).toBe('event.broken');
    expect(await code({ valve: { ...exported.valve, serial: 'another one' } })).toBe('import.valve');
    const elsewhere = { ...forged.job, id: randomUUID(), valveId: randomUUID() };
    const open = { entries: exported.entries };
    await there.openJob(empty);
    expect(await code({ ...open, job: elsewhere }), 'an open job on that valve').toBe('valve.job-open');
    await empty.close();
  });

  it('a broken export is refused whole', async () => {
    const exported = jobExport.parse((await lea.get(`/api/jobs/${released}/export.json`)).body);
    const before = await JobRow.count();
    const gap = { ...exported, entries: exported.entries.filter(({ seq }) => seq !== 3) };
    expect((await lea.post('/api/jobs/import', gap)).body.problem.code).toBe('event.out-of-order');
    const alien = {
      ...exported,
      entries: [...exported.entries.slice(0, 2), { ...exported.entries[2], kind: 'abducted' }],
    };
    expect((await lea.post('/api/jobs/import', alien)).body.problem.code).toBe('event.unknown-kind');
    expect(await JobRow.count()).toBe(before);
  });
});

describe('live', () => {
  it('sends what was missed, then what others do, and what another server process commits', async () => {
    const job = await (await Screen.open(shop, 'ada')).openJob(shop);
    const server = createServer(shop.app.express).listen(0);
    const { cookie } = await Screen.open(shop, 'bo');
    const gone = new AbortController();
    const stream = await fetch(`http://127.0.0.1:${portOf(server.address())}/api/jobs/${job}/live?after=1`, {
      headers: { cookie },
      signal: gone.signal,
    });
    expect(stream.ok ? '' : await stream.text()).toBe('');
    expect(stream.headers.get('content-type')).toContain('text/event-stream');
    const seen: number[] = [];
    const reading = collect(stream, seen, 4).catch(() => undefined);
    const ada = await Screen.open(shop, 'ada');
    await ada.command(job, 2, note('one'));
    await commit(shop.sequelize, {
      jobId: jobView.shape.id.parse(job),
      baseVersion: 3,
      commandId: commandId.parse(randomUUID()),
      command: note('two, past the feed'),
      person: personStamp.parse({ id: shop.people.bo, name: 'bo', role: 'technician' }),
      now: new Date().toISOString(),
    });
    await reading;
    gone.abort();
    server.close();
    server.closeAllConnections();
    expect(seen).toEqual([2, 3, 4]);
  });

  const portOf = (address: AddressInfo | string | null) =>
    typeof address === 'object' && address !== null ? address.port : 0;

  async function collect(stream: Response, seen: number[], until: number): Promise<void> {
    const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
    let rest = '';
    for (;;) {
      const chunk = await reader?.read();
      if (!chunk || chunk.done) return;
      const blocks = (rest + chunk.value).split('\n\n');
      rest = blocks.pop() ?? '';
      for (const block of blocks) {
        const data = block.split('\n').find((line) => line.startsWith('data: '));
        if (data) for (const { seq } of JSON.parse(data.slice(6)).entries) seen.push(seq);
      }
      if ((seen.at(-1) ?? 0) >= until) return;
    }
  }
});

describe('health', () => {
  it('the process is up, and ready with the database reachable and migrated', async () => {
    expect((await lea.get('/healthz')).status).toBe(200);
    expect((await lea.get('/readyz')).body).toEqual({
      database: 'reachable',
      pendingMigrations: [],
      migrationsOfANewerServer: [],
      lastBackup: null,
    });
  });
});
