import { USUAL_RULES } from '@dusk-wren/core/inspection';
import { thou } from '@dusk-wren/core/quantity';
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

const sites = async () => (await lea.get('/api/setup/sites')).body.sites as { customer: string }[];

describe('the shop itself', () => {
  it('is named by a lead, on the sign-in page and on every paper, with the units that people begin with', async () => {
    expect((await ada.get('/api/session')).body).toMatchObject({
      shop: 'Test Street valve shop',
      units: 'US',
    });
    const asked = {
      name: 'Quay valve shop',
      units: 'SI',
      zone: 'Europe/London',
      lockMinutes: 5,
      secondFactor: 'nobody',
      erasedAfterMonths: 12,
    };
    expect((await ada.post('/api/setup/shop', asked)).status).toBe(403);
    expect((await lea.post('/api/setup/shop', { ...asked, name: ' ' })).status).toBe(400);
    expect((await lea.post('/api/setup/shop', asked)).body).toEqual(asked);
    expect((await ada.get('/api/session')).body).toMatchObject({
      ...{ shop: 'Quay valve shop', units: 'SI', lockMinutes: 5 },
    });
    const { body } = await lea.get('/api/setup/changes?q=quay');
    expect(body.changes[0]).toMatchObject({ subject: 'shop', by: 'lea' });
  });
  it('says what is there before its first valve, and no more once its lead leaves the rest', async () => {
    expect((await lea.get('/api/setup/begun')).body).toEqual({
      has: ['shop', 'people', 'instruments'],
      isOver: false,
    });
    expect((await lea.post('/api/setup/begun', {})).body.isOver).toBe(true);
    expect((await ada.get('/api/setup/begun')).status).toBe(403);
  });
});

describe('a customer', () => {
  it('goes by common practice until its site says otherwise, and is there once', async () => {
    const added = await lea.post('/api/setup/sites', { customer: 'Gravel works' });
    expect(added.status).toBe(201);
    expect(added.body.site).toMatchObject({ customer: 'Gravel works', version: 1, openJobs: 0 });
    expect(added.body.site.rules.nutFactor).toBe(USUAL_RULES.nutFactor);
    const again = await lea.post('/api/setup/sites', { customer: 'Gravel works' });
    expect(again.body.problem.code).toBe('name.taken');
    expect((await ada.get('/api/customers')).body.customers).toContain('Gravel works');
    expect(await sites()).toHaveLength(1);
  });
  it('has other rules from now on: open jobs keep theirs, and are said with what would change', async () => {
    const valve = (await ada.get('/api/valves?limit=5')).body.valves[0].valve as Record<string, unknown>;
    const { serial: _another, ...like } = valve;
    const opened = await ada.post('/api/jobs', {
      commandId: crypto.randomUUID(),
      valve: { new: { ...like, tag: 'G-1', customer: 'Gravel works' } },
      ...{ place: 'bare', reported: 'passes' },
    });
    expect(opened.status).toBe(201);
    const before = (await ada.get(`/api/jobs/${opened.body.id}`)).body;
    const rules = { ...USUAL_RULES, name: 'Gravel works', nextDueMonths: 24, grindInTo: thou(1) };
    const asked = { customer: 'Gravel works', version: 1, rules };
    const { body } = await lea.post('/api/setup/sites/effects', asked);
    expect(body).toMatchObject({ looked: 1, jobs: [{ tag: 'G-1', other: ['Sign the certificate'] }] });
    const kept = await lea.post('/api/setup/sites/rules', asked);
    expect(kept.body.site).toMatchObject({ version: 2, openJobs: 1, rules: { nextDueMonths: 24 } });
    expect((await ada.get(`/api/jobs/${opened.body.id}`)).body.entries).toEqual(before.entries);
    const second = await ada.post('/api/jobs', {
      commandId: crypto.randomUUID(),
      valve: { new: { ...like, tag: 'G-2', customer: 'Gravel works' } },
      ...{ place: 'bare', reported: 'passes' },
    });
    const log = (await ada.get(`/api/jobs/${second.body.id}`)).body.entries;
    expect(log[0].body.site.nextDueMonths).toBe(24);
    const [change] = (await lea.get('/api/setup/changes?q=gravel')).body.changes;
    expect(change.what).toBe('Gravel works, rules 2: Damage ground in, up to; Next overhaul after');
  });
  it('takes one change of two leads at once, and shows the other whose is there', async () => {
    const rules = { ...USUAL_RULES, name: 'Gravel works', passes: 'thirds' };
    const late = await lea.post('/api/setup/sites/rules', { customer: 'Gravel works', version: 1, rules });
    expect(late.status).toBe(409);
    expect(late.body.text).toMatch(/version 2 now/);
    const both = await Promise.all(
      [1, 2].map(() => lea.post('/api/setup/sites/rules', { customer: 'Gravel works', version: 2, rules })),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
  });
  it.each([
    [{ nutFactor: 9 }],
    [{ name: '' }],
    [{ grindInTo: { dimension: 'torque', value: 1, unit: 'N·m' } }],
    [{ certificateBy: 'the cat' }],
  ])('rules that are none are refused: %j', async (wrong) => {
    const rules = { ...USUAL_RULES, ...wrong };
    const answer = await lea.post('/api/setup/sites/rules', { customer: 'Gravel works', version: 3, rules });
    expect(answer.status).toBe(400);
    expect((await ada.post('/api/setup/sites/rules', {})).status).toBe(403);
  });
});
