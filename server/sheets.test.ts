import { defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let lea: Screen;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  [lea, ada] = await Promise.all([Screen.open(shop, 'lea'), Screen.open(shop, 'ada')]);
});
afterAll(() => shop.close());

const sheet = (revision: string, joint: string, model = 'H 7') => ({
  ...{ model, revision },
  figures: { jointTorque: { value: joint, page: '31' } },
});
const models = async () =>
  (await lea.get('/api/setup/sheets')).body.models as {
    model: string;
    current: { id: number; sheet: { revision: string }; by: string | null; job: { tag: string } | null };
    earlier: { sheet: { revision: string } }[];
  }[];
const current = async () => (await models()).find(({ model }) => model === 'H 7')?.current;
const file = async (body: object) =>
  lea.post('/api/setup/sheets', { instead: (await current())?.id ?? null, ...body });
const said = async () =>
  ((await lea.get('/api/setup/changes?q=H 7')).body.changes as { what: string }[]).map(({ what }) => what);
async function openOn(tag: string): Promise<string> {
  const opened = await ada.post('/api/jobs', {
    commandId: randomUUID(),
    valve: { new: { ...defaultValve('globe-bolted'), tag, plate: { model: 'h7' } } },
    place: 'bare',
    reported: 'test',
  });
  expect(opened.status, JSON.stringify(opened.body)).toBe(201);
  return String(opened.body.id);
}
const revisionOn = async (job: string) => {
  const { entries } = (await ada.get(`/api/jobs/${job}`)).body;
  const filed = entries.findLast(({ kind }: { kind: string }) => kind === 'makers-sheet-filed');
  return filed?.body.sheet.revision as string | undefined;
};

describe('makers’ sheets, kept by a lead', () => {
  it('filed on Setup a sheet is the shop’s: the next job on its model has it, whichever way that is written', async () => {
    expect((await file({ sheet: sheet('B', '90 ft-lb') })).status).toBe(201);
    expect(await current()).toMatchObject({ sheet: { revision: 'B' }, by: 'lea', job: null });
    expect(await revisionOn(await openOn('SHEET-1'))).toBe('B');
    expect(await said()).toEqual(['H 7: revision B, the first']);
  });

  it('a new revision is for the next job; an open one keeps its own, and it is said what would stand otherwise', async () => {
    const job = await openOn('SHEET-2');
    const effects = await lea.post('/api/setup/sheets/effects', { sheet: sheet('C', '120 ft-lb') });
    expect(effects.body.looked).toBe(2);
    expect(effects.body.jobs.map(({ tag }: { tag: string }) => tag)).toEqual(['SHEET-1', 'SHEET-2']);
    expect(effects.body.jobs[0].other.join()).toMatch(/[Bb]olt|[Tt]orque/);
    expect((await file({ sheet: sheet('C', '120 ft-lb') })).status).toBe(201);
    expect(await revisionOn(job)).toBe('B');
    expect(await revisionOn(await openOn('SHEET-3'))).toBe('C');
    const [seen] = await models();
    expect(seen?.earlier.map(({ sheet: { revision } }) => revision)).toEqual(['B']);
  });

  it('whoever looked at another one than is the shop’s writes nothing', async () => {
    const stale = await file({ sheet: sheet('D', '95 ft-lb'), instead: 1_000_000 });
    expect([stale.status, stale.body.problem.code]).toEqual([409, 'sheet.changed']);
    expect((await file({ sheet: { ...sheet('D', '95 ft-lb'), figures: {} } })).status).toBe(400);
    expect((await file({ sheet: sheet('D', '95 bananas') })).status).toBe(400);
    expect((await current())?.sheet.revision).toBe('C');
  });

  it('withdrawn, the one before it is the shop’s again', async () => {
    const withdrawn = await lea.post('/api/setup/sheets/withdraw', { id: (await current())?.id });
    expect(withdrawn.status).toBe(200);
    expect((await current())?.sheet.revision).toBe('B');
    expect(await revisionOn(await openOn('SHEET-4'))).toBe('B');
    expect((await said())[0]).toBe('H 7: revision C withdrawn');
    expect((await lea.post('/api/setup/sheets/withdraw', { id: 1_000_000 })).status).toBe(404);
  });

  it('one that a lead typed on a job says which job that was', async () => {
    const job = await openOn('SHEET-5');
    const { version } = (await ada.get(`/api/jobs/${job}`)).body;
    const typed = { kind: 'file-makers-sheet', body: { sheet: sheet('E', '99 ft-lb') } };
    expect((await lea.command(job, version, typed)).status).toBe(200);
    expect(await current()).toMatchObject({
      ...{ sheet: { revision: 'E' }, by: 'lea' },
      job: { id: job, tag: 'SHEET-5' },
    });
  });

  it('is a lead’s alone', async () => {
    expect((await ada.get('/api/setup/sheets')).status).toBe(403);
    expect(
      (await ada.post('/api/setup/sheets', { sheet: sheet('Z', '1 ft-lb'), instead: null })).status,
    ).toBe(403);
  });
});

describe('as a file', () => {
  const csv = (...rows: string[]) => rows.map((row) => `${row}\r\n`).join('');
  const look = async (text: string) =>
    (await lea.post('/api/setup/files/sheets/preview', { csv: text })).body as {
      after: number;
      rows: { does: string; why: string[] }[];
    };
  it('comes out with every figure and goes in again as the same', async () => {
    const { text } = await lea.get('/api/setup/files/sheets.csv');
    expect(text).toContain('page of the torque of the joint');
    expect((await look(text)).rows.map(({ does }) => does)).toEqual(['same']);
  });
  it('a figure without its page, of another kind, or a row without a figure is refused by name', async () => {
    const heading = 'model,revision,torque of the joint,page of the torque of the joint';
    const { rows } = await look(
      csv(heading, 'K 2,A,80 ft-lb,', 'K 3,A,80 thou,4', 'K 4,A,,', 'h7,F,101 ft-lb,32'),
    );
    expect(rows.map(({ does }) => does).sort()).toEqual(['bad', 'bad', 'bad', 'change']);
    const why = rows.map((row) => row.why.join());
    expect(why[0]).toMatch(/^page of the torque of the joint/);
    expect(why[1]).toMatch(/^torque of the joint.*thou/);
    expect(why[2]).toMatch(/figures.*no figure/);
  });
  it('is written all at once, each model’s next revision', async () => {
    const text = csv(
      'model,revision,torque of the joint,page of the torque of the joint',
      'h7,F,101 ft-lb,32',
      'K 2,A,80 ft-lb,7',
    );
    const { after } = await look(text);
    const taken = await lea.post('/api/setup/files/sheets', { csv: text, after });
    expect(taken.body).toMatchObject({ written: 2, skipped: 0 });
    expect((await models()).map(({ model, current: { sheet } }) => [model, sheet.revision])).toEqual([
      ['H 7', 'F'],
      ['K 2', 'A'],
    ]);
  });
});
