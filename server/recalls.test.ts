import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openShop, Screen, stripToRunout, type Shop } from './testing/shop';

const day = (offset: number) => new Date(Date.now() + offset * 86_400_000).toISOString().slice(0, 10);

let shop: Shop;
let lea: Screen;
let ada: Screen;
let job: string;
beforeAll(async () => {
  shop = await openShop();
  [lea, ada] = await Promise.all([Screen.open(shop, 'lea'), Screen.open(shop, 'ada')]);
  job = await ada.openJob(shop);
  const version = await stripToRunout(ada, job);
  // A stem bent by 1.53 thou reads 3.06 TIR; to 1 in it may be 3 (common practice).
  const readings = Array.from(
    { length: 12 },
    (_, i) => `${(1.53 * Math.cos((Math.PI * i) / 6)).toFixed(3)} thou`,
  );
  const body = { step: 'inspect.runout', readings, readBy: shop.dial };
  const taken = await ada.command(job, version, { kind: 'take-runout', body });
  expect(taken.status, JSON.stringify(taken.body)).toBe(200);
});
afterAll(() => shop.close());

const calibrated = (done: number, foundOffPercent: number) =>
  lea.post(`/api/setup/instruments/${shop.dial}/calibrations`, {
    ...{ day: day(done), due: day(done + 300), foundOffPercent, leftOffPercent: 0, certificate: `C ${done}` },
  });
const traced = () => lea.get(`/api/setup/instruments/${shop.dial}/trace`);

describe('an instrument that was found off', () => {
  it('cannot be traced before it was calibrated at all', async () => {
    expect((await traced()).body.problem).toMatchObject({ code: 'not-found' });
    expect((await ada.get(`/api/setup/instruments/${shop.dial}/trace`)).status).toBe(403);
  });
  it('within its error nothing would stand otherwise: no job is called back', async () => {
    await calibrated(-200, 0);
    await calibrated(0, 0.2);
    expect((await traced()).body).toMatchObject({ since: day(-200), until: day(0), looked: 1, jobs: [] });
    expect((await lea.post(`/api/setup/instruments/${shop.dial}/recalls`, {})).body.jobs).toEqual([]);
    expect((await lea.get('/api/setup/recalls')).body.recalls).toEqual([]);
  });
  it('3 % high: the stem that it condemned was straight enough, and its job is called back once', async () => {
    // The calibration before has found it good today: what was read before today is in no doubt of this one.
    await shop.sequelize.query('DELETE FROM calibrations WHERE found_off <> 0');
    await calibrated(0, 3);
    const { body } = await traced();
    expect(body).toMatchObject({ offPercent: 3, looked: 1, more: false });
    expect(body.jobs).toMatchObject([{ job, tag: 'T-1', isOut: false, isRecalled: false }]);
    expect(body.jobs[0].calls).toMatchObject([{ part: 'stem', would: 'fit' }]);
    const recall = () => lea.post(`/api/setup/instruments/${shop.dial}/recalls`, {});
    const both = await Promise.all([recall(), recall()]);
    expect(both.map(({ status }) => status)).toEqual([201, 201]);
    await recall();
    const { recalls } = (await ada.get(`/api/jobs/${job}/recalls`)).body;
    expect(recalls).toHaveLength(1);
    expect(recalls[0]).toMatchObject({ instrument: 'Dial 1', openedBy: 'lea', closed: null });
    expect(recalls[0].why[0]).toMatch(/^Stem: fit instead of/);
  });
  it('is closed by a lead who says what was done, and stays as it was first said', async () => {
    const [{ id }] = (await lea.get('/api/setup/recalls')).body.recalls as [{ id: number }];
    const close = (why: string, by = lea) => by.post(`/api/setup/recalls/${id}/close`, { why });
    expect((await close('never mind', ada)).status).toBe(403);
    expect((await close(' ')).status).toBe(400);
    await close('read again with Dial 2: 2.9 thou, stem kept');
    await close('something else');
    const { recalls } = (await lea.get('/api/setup/recalls')).body;
    expect(recalls[0].closed).toMatchObject({
      by: 'lea',
      why: 'read again with Dial 2: 2.9 thou, stem kept',
    });
    const changes = (await lea.get('/api/setup/changes?q=recall')).body.changes as { what: string }[];
    expect(changes.map(({ what }) => what)).toEqual([
      expect.stringMatching(/^recall of T-1 closed: read again/),
      'Dial 1, found 3 % off: recalled T-1',
    ]);
    expect((await lea.post('/api/setup/recalls/999999/close', { why: 'x' })).status).toBe(404);
  });
});
