import {
  importPreview,
  kitsView,
  ordersView,
  stockView,
  stockImportsView,
  unitsView,
} from '@dusk-wren/contract/stock';
import { kitFor } from '@dusk-wren/core/stock';
import { CONSTRUCTIONS, defaultValve, valveKey } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fromCsv, toCsv } from './exchange/csv';
import { KIT_SHEETS, stockOf } from './demo/stock';
import { putUnit } from './database/shelf';
import { putKits, putStock } from './database/stock';
import { done, openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
const cage = { ...defaultValve('control-balanced-cage'), tag: 'CV-1', customer: 'Somebody', location: 'x' };

beforeAll(async () => {
  shop = await openShop();
  await shop.sequelize.transaction(async (transaction) => {
    await putKits(KIT_SHEETS, transaction);
    await putStock(stockOf(cage, 1), transaction);
  });
});
afterAll(() => shop.close());

const shelfUnit = () =>
  shop.sequelize.transaction((transaction) =>
    putUnit(
      {
        kind: 'rebuilt actuator',
        serial: `RA ${randomUUID().slice(0, 4)}`,
        key: valveKey(cage),
        builtOn: '2026-10-01',
      },
      transaction,
    ),
  );

async function jobFor(screen: Screen, tag: string): Promise<string> {
  const answer = await screen.post('/api/jobs', {
    commandId: randomUUID(),
    valve: { new: { ...cage, tag } },
    place: 'bare',
    reported: '',
  });
  return answer.body.id as string;
}

const PARTS = 'number,name,part,fits,material,elastomer,price,lead days';

describe('files', () => {
  it('go out and come back unchanged, formulas harmless', () => {
    const text = toCsv(
      ['a', 'b'],
      [
        ['=1+1', 'x, "y"'],
        ['-5', 'z'],
      ],
    );
    expect(text).toContain("'=1+1");
    expect(fromCsv(text, ['a', 'b']).rows.map(({ cells }) => cells)).toEqual([
      { a: '=1+1', b: 'x, "y"' },
      { a: '-5', b: 'z' },
    ]);
  });
  it('a heading that lacks a column is said, with what it wants', () => {
    expect(fromCsv('a\n1', ['a', 'b']).wrong.join()).toMatch(/lacks “b”.*a, b/);
  });
  it.each(['parts', 'stock', 'kits'] as const)(
    '%s: what is exported previews as nothing changed',
    async (kind) => {
      const lea = await Screen.open(shop, 'lea');
      const csv = (await lea.get(`/api/store/export/${kind}.csv`)).text;
      const preview = importPreview.parse((await lea.post('/api/store/import/preview', { kind, csv })).body);
      expect(preview.rows.length).toBeGreaterThan(4);
      expect(new Set(preview.rows.map(({ does }) => does))).toEqual(new Set(['same']));
    },
  );
  it('each bad row is named with why, and nothing is half written', async () => {
    const lea = await Screen.open(shop, 'lea');
    const csv = [
      PARTS,
      'N-1,Good one,stem,globe-bolted NPS 3 600,stainless steel,,120.50,4',
      'N-2,Bad part,flux capacitor,globe-bolted,stainless steel,,1,1',
      'N-3,Bad price,stem,globe-bolted,stainless steel,,dear,1',
      'N-1,Twice,stem,globe-bolted,stainless steel,,1,1',
    ].join('\n');
    const preview = importPreview.parse(
      (await lea.post('/api/store/import/preview', { kind: 'parts', csv })).body,
    );
    expect(preview.rows.map(({ row, does }) => [row, does])).toEqual([
      [2, 'new'],
      [3, 'bad'],
      [4, 'bad'],
      [5, 'bad'],
    ]);
    expect(preview.rows[1]?.why.join()).toMatch(/part: “flux capacitor”/);
    expect(preview.rows[2]?.why.join()).toMatch(/price: “dear”/);
    expect(preview.rows[3]?.why.join()).toMatch(/twice/);
    expect((await lea.post('/api/store/import', { kind: 'parts', csv })).status).toBe(400);
    const found = async () => stockView.parse((await lea.get('/api/store/stock?q=N-1')).body).parts;
    expect(await found()).toEqual([]);
    expect((await lea.post('/api/store/import', { kind: 'parts', csv, skipBad: true })).body).toEqual({
      written: 1,
      skipped: 3,
    });
    expect(await found()).toMatchObject([{ name: 'Good one', price: 120.5, onHand: 0 }]);
  });
  it('only a lead takes a file in', async () => {
    const ada = await Screen.open(shop, 'ada');
    expect((await ada.post('/api/store/import', { kind: 'stock', csv: 'number\n' })).body.problem.code).toBe(
      'role.not-allowed',
    );
  });
  it('a file read for anybody but a lead is not read at all', async () => {
    const ada = await Screen.open(shop, 'ada');
    const answer = await ada.post('/api/store/import/preview', { kind: 'kits', csv: 'sheet\n' });
    expect(answer.status).toBe(403);
  });
  it('a number is what people write as one', async () => {
    const lea = await Screen.open(shop, 'lea');
    const csv = `${PARTS}\nH-16,gland,gland,x,steel,,0x10,3\n`;
    const preview = importPreview.parse(
      (await lea.post('/api/store/import/preview', { kind: 'parts', csv })).body,
    );
    expect(preview.rows[0]?.why.join()).toMatch(/price: “0x10”/);
  });
  it('who brought a file in is kept, and a second file on an old preview is refused', async () => {
    const lea = await Screen.open(shop, 'lea');
    const csv = `${PARTS}\nW-1,gland,gland,x,steel,,"4,50",3\n`;
    const last = async () => {
      const { imports } = stockImportsView.parse((await lea.get('/api/store/imports')).body);
      return imports.find(({ kind }) => kind === 'parts');
    };
    const seen = (await last())?.id ?? 0;
    const bring = (after: number) => lea.post('/api/store/import', { kind: 'parts', csv, after });
    expect((await bring(seen)).status).toBe(200);
    expect(await last()).toMatchObject({ by: 'lea', written: 1, skipped: 0 });
    const second = await bring(seen);
    expect(second.status).toBe(409);
    expect(second.body.text).toMatch(/lea has brought in another file meanwhile/);
    expect((await bring((await last())?.id ?? 0)).status).toBe(200);
  });
  it('stock for a part nobody knows is a bad row; a broken file is no 500', async () => {
    const lea = await Screen.open(shop, 'lea');
    for (const csv of ['number,bin,on hand,reorder at,cure date\nX-9,A1,2,1,', '', '"', 'number\n\u0000']) {
      const answer = await lea.post('/api/store/import/preview', { kind: 'stock', csv });
      expect(answer.status).toBe(200);
      expect(importPreview.parse(answer.body).good).toBe(0);
    }
  });
});

describe('the store', () => {
  it('lists bins, found by number, name or fit, page after page', async () => {
    const ada = await Screen.open(shop, 'ada');
    const first = stockView.parse((await ada.get('/api/store/stock?limit=3')).body);
    expect(first.parts).toHaveLength(3);
    const second = stockView.parse(
      (await ada.get(`/api/store/stock?limit=3&cursor=${first.next ?? ''}`)).body,
    );
    expect(second.parts[0]?.number).not.toBe(first.parts[0]?.number);
    expect(stockView.parse((await ada.get('/api/store/stock?q=PS-01')).body).parts.length).toBeGreaterThan(3);
  });
  it('has the awkward sheet, its kits told apart by variant', async () => {
    const ada = await Screen.open(shop, 'ada');
    const { kits } = kitsView.parse((await ada.get('/api/store/kits')).body);
    const sheet = kits.find(({ construction }) => construction === 'control-lowpressure-diaphragm');
    expect(sheet && kitFor(sheet, defaultValve('control-lowpressure-diaphragm'))).toBe('15-S');
    for (const { construction } of kits) expect(Object.keys(CONSTRUCTIONS)).toContain(construction);
  });
  it('a kit on file for another variant is not laid out for this one; its own is', async () => {
    const ada = await Screen.open(shop, 'ada');
    const opened = await ada.post('/api/jobs', {
      commandId: randomUUID(),
      valve: {
        new: {
          ...defaultValve('control-lowpressure-diaphragm'),
          tag: 'LP-77',
          customer: 'none',
          location: 'x',
        },
      },
      place: 'bare',
      reported: 'test',
    });
    const job = String(opened.body.id);
    const plate = await ada.command(job, 2, done('receive.plate'));
    expect(plate.status, JSON.stringify(plate.body)).toBe(200);
    const lay = (code: string) =>
      ada.command(job, 3, {
        kind: 'match-spares',
        body: { step: 'receive.spares', laid: [{ what: 'kit', code }] },
      });
    const wrong = await lay('15-D');
    expect(wrong.status).toBe(422);
    expect(wrong.body.problem).toMatchObject({ code: 'input.conflict', fields: ['laid'] });
    expect(wrong.body.text).toContain('this one takes 15-S');
    expect((await ada.get(`/api/jobs/${job}`)).body.version).toBe(3);
    expect((await lay('15-S')).status).toBe(200);
  });
  it('wants somebody signed in', async () => {
    const stranger = await Screen.open(shop);
    expect((await stranger.get('/api/store/stock')).status).toBe(401);
  });
});

describe('a unit from the shelf', () => {
  const units = async (screen: Screen) => unitsView.parse((await screen.get('/api/store/units')).body).units;
  const take = (unit: string, serial: string) => ({
    kind: 'take-unit',
    body: { unit, kind: 'rebuilt actuator', serial },
  });

  it('leaves the shelf once, and the old one waits to be rebuilt; struck, it stands there again', async () => {
    const unit = await shelfUnit();
    const ada = await Screen.open(shop, 'ada');
    const serial = (await units(ada)).find(({ id }) => id === unit)?.serial ?? '';
    const [first, second] = [await jobFor(ada, 'CV-2'), await jobFor(ada, 'CV-3')];
    expect((await ada.command(first, 2, take(unit, serial))).status).toBe(200);
    expect((await units(ada)).find(({ id }) => id === unit)).toMatchObject({
      state: 'taken',
      job: { tag: 'CV-2' },
    });
    expect((await units(ada)).some(({ state, job }) => state === 'to rebuild' && job?.tag === 'CV-2')).toBe(
      true,
    );
    expect((await ada.command(second, 2, take(unit, serial))).body.problem.code).toBe('unit.not-on-shelf');
    const struck = await ada.command(first, 3, {
      kind: 'strike-entry',
      body: { entry: 3, reason: 'wrong valve' },
    });
    expect(struck.status).toBe(200);
    expect((await units(ada)).find(({ id }) => id === unit)?.state).toBe('on the shelf');
    expect((await units(ada)).some(({ state, job }) => state === 'to rebuild' && job?.tag === 'CV-2')).toBe(
      false,
    );
  });
  it('the old one is opened as a job of its own while its valve is still open', async () => {
    const ada = await Screen.open(shop, 'ada');
    const job = await jobFor(ada, 'CV-4');
    const { valveId } = (await ada.get(`/api/jobs/${job}`)).body as { valveId: string };
    const answer = await ada.post('/api/jobs', {
      commandId: randomUUID(),
      valve: { id: valveId },
      place: 'bare',
      reported: 'swapped out',
      only: 'rebuilt actuator',
    });
    expect(answer.status).toBe(201);
  });
});

describe('orders across the shop', () => {
  it('a renewed part stands there with the latest day to order it', async () => {
    const ada = await Screen.open(shop, 'ada');
    const job = await ada.openJob(shop);
    await ada.command(job, 2, {
      kind: 'overrule-call',
      body: { part: 'bonnet gasket', verdict: 'renew', reason: 'not a real order' },
    });
    const { orders } = ordersView.parse((await ada.get('/api/store/orders')).body);
    expect(orders.every(({ job: of }) => typeof of === 'string')).toBe(true);
  });
});
