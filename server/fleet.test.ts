import { agesView, fleetJobs, fleetView, kitUses } from '@dusk-wren/contract';
import { sparesView } from '@dusk-wren/contract/stock';
import { jobId as jobIdSchema } from '@dusk-wren/core/job';
import { toKeep } from '@dusk-wren/core/stock';
import type { Lived } from '@dusk-wren/core/life';
import { daysAfter } from '@dusk-wren/core/quantity';
import { defaultValve, type PartRole } from '@dusk-wren/core/valve';
import Papa from 'papaparse';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DrawnPartRow, JobLifeRow, PartLifeRow } from './database/life-models';
import { putKits, putStock } from './database/stock';
import { fileValve } from './database/valves';
import { lived } from './testing/lived';
import { openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
const today = new Date().toISOString().slice(0, 10);
const ago = (days: number) => daysAfter(today, -days);

/** A job of the past, as its summary says it. */
async function past(
  valve: string,
  daysAgo: number,
  of: { customer?: string; cost?: number; back?: boolean } & Partial<Lived>,
) {
  const { customer = 'Low Mill', cost = 0, back = false, ...more } = of;
  const life = lived(ago(daysAgo), { nextDue: today, ...more });
  const job = jobIdSchema.parse(randomUUID());
  await JobLifeRow.create({
    ...{ jobId: job, valveId: valve, customer, construction: 'globe-bolted', signed: life.signed },
    ...{ minutes: life.minutes, parts: cost.toFixed(2), found: life.asFound?.found ?? null },
    ...{ cause: life.placed?.cause ?? null, cameBack: back, body: JSON.stringify(life) },
  });
  return job;
}

const part = (valve: string, role: PartRole, fitted: number, ended: number | null, fate: string) =>
  PartLifeRow.create({
    ...{ jobId: randomUUID(), part: role, valveId: valve, construction: 'globe-bolted', service: 'Steam' },
    ...{ fittedOn: ago(fitted), endedOn: ended === null ? null : ago(ended), fate, afterUnknown: false },
  });

let dear: string;
let often: string;
let cameBack: string;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  const file = (tag: string, customer: string) =>
    shop.sequelize.transaction(async (transaction) => {
      const valve = await fileValve({ ...defaultValve('globe-bolted'), tag, customer }, transaction);
      return valve.id;
    });
  [dear, often] = [await file('D-1', 'Low Mill'), await file('O-1', 'High Mill')];
  const worn = { symptom: 'passes when shut', cause: 'seat worn' } as const;
  await past(dear, 400, {
    cost: 5000,
    minutes: 600,
    placed: worn,
    asFound: { found: 'leaking', why: 'over' },
  });
  await past(dear, 5000, { cost: 9000 });
  cameBack = await past(often, 100, {
    customer: 'High Mill',
    back: true,
    placed: { symptom: 'gland leaks', cause: 'stem scored' },
  });
  for (const days of [200, 300, 800])
    await past(often, days, {
      customer: 'High Mill',
      placed: worn,
      asFound: { found: 'leaking', why: '=1+1' },
    });
  for (const age of [300, 400, 410, 500, 520, 640, 700, 910])
    await part(dear, 'disc', age + 50, 50, 'failed');
  await part(often, 'disc', 100, null, 'running');
  await part(often, 'disc', 900, 300, 'gone');
  await part(often, 'packing', 900, 300, 'gone');
}, 60_000);
afterAll(() => shop.close());

const ask = async (path: string, status = 200) => {
  const answer = await ada.get(path);
  expect(answer.status, JSON.stringify(answer.body)).toBe(status);
  return answer;
};

describe('the fleet', () => {
  it('worst valves by what hours and parts cost, with the commonest cause, in the time asked', async () => {
    const fleet = fleetView.parse((await ask('/api/fleet?months=36&rate=60')).body);
    expect(fleet).toMatchObject({ jobs: 5, valves: 2, cameBack: 1 });
    expect(fleet.worst.map(({ tag, jobs, cost }) => [tag, jobs, cost])).toEqual([
      ['D-1', 1, 5600],
      ['O-1', 4, 1200],
    ]);
    expect(fleet.worst[1]?.cause).toBe('Seat or closure worn');
    expect(fleet.causes[0]).toEqual({ what: 'seat worn', count: 4 });
    const year = fleetView.parse((await ask('/api/fleet?months=12&customer=High+Mill')).body);
    expect(year).toMatchObject({ jobs: 3, valves: 1 });
  });
  it('every chart opens the jobs behind it, page after page', async () => {
    const jobs = async (query: string) =>
      fleetJobs.parse((await ask(`/api/fleet/jobs?months=36&${query}`)).body);
    expect((await jobs('cause=seat+worn')).jobs).toHaveLength(4);
    expect((await jobs('cameBack=yes')).jobs.map(({ job }) => job)).toEqual([cameBack]);
    expect((await jobs('found=leaking&customer=Low+Mill')).jobs).toHaveLength(1);
    const first = await jobs(`valve=${often}&limit=3`);
    const rest = await jobs(`valve=${often}&limit=3&cursor=${first.next ?? ''}`);
    expect([...first.jobs, ...rest.jobs].map(({ signed }) => signed)).toEqual([100, 200, 300, 800].map(ago));
  });
  it('ages of a part: what failed, and what still runs or went for another cause', async () => {
    const ages = agesView.parse((await ask('/api/fleet/ages?construction=globe-bolted&part=disc')).body);
    expect(ages.failures.toSorted((a, b) => a - b)).toEqual([300, 400, 410, 500, 520, 640, 700, 910]);
    expect(ages.running.toSorted((a, b) => a - b)).toEqual([100, 600]);
    expect(ages.services).toEqual(['Steam']);
    const none = agesView.parse(
      (await ask('/api/fleet/ages?construction=globe-bolted&part=disc&service=Brine')).body,
    );
    expect(none.failures).toEqual([]);
  });
  it('failures in the code of ISO 14224, as JSON and as CSV whose cells are no formulas', async () => {
    const { failures } = (await ask('/api/fleet/failures.json?months=36')).body as {
      failures: { mode: string }[];
    };
    expect(failures.map(({ mode }) => mode)).toEqual(['ELP', 'LCP', 'LCP', 'LCP', 'LCP']);
    const csv = (await ask('/api/fleet/failures.csv?months=36')).text;
    const rows = Papa.parse<Record<string, string>>(csv.trim(), { header: true }).data;
    expect(rows[0]).toMatchObject({ 'failure mode': 'ELP', 'failure cause': '3.3 maintenance error' });
    expect(rows.map((row) => row['as found'])).toContain("'=1+1");
  });
  it('what of a kit is never used', async () => {
    const line = { quantity: 1, kits: ['A'] };
    await shop.sequelize.transaction((transaction) =>
      putKits(
        [
          {
            ...{
              number: 'K-1',
              title: 'globe kit',
              construction: 'globe-bolted',
              kits: [{ code: 'A', fits: {} }],
            },
            lines: [
              { ...line, line: '1', name: 'disc', part: 'disc' },
              { ...line, line: '2', name: 'wheel', part: 'handwheel' },
            ],
          },
        ],
        transaction,
      ),
    );
    const { kits } = kitUses.parse((await ask('/api/fleet/kits?months=96')).body);
    expect(kits[0]?.lines.map(({ name, used }) => [name, used])).toEqual([
      ['disc', 10],
      ['wheel', 0],
    ]);
  });
  it.each([
    '/api/fleet?months=7',
    '/api/fleet?rate=-1',
    '/api/fleet/jobs?valve=me',
    '/api/fleet/jobs?cursor=%00',
    '/api/fleet/ages?construction=none&part=disc',
    '/api/fleet/ages?construction=globe-bolted',
  ])('asked wrongly is refused: %s', async (path) => void (await ask(path, 400)));
});

describe('how many to keep (handbook part 7.1, at 95 %)', () => {
  it.each([
    [36, 30, 3],
    [12, 60, 2],
    [72, 45, 6],
    [1.5, 90, 1],
  ])('%d jobs in three years, %d days: %d', (jobs, leadDays, orderPoint) =>
    expect(toKeep({ jobs, years: 3, pieces: 1, leadDays, onHand: 99 }).orderPoint).toBe(orderPoint),
  );
  it('at the point it is ordered, far over it there is too much, of what nobody wants none is kept', () => {
    const of = (onHand: number, jobs = 12) =>
      toKeep({ jobs, years: 3, pieces: 2, leadDays: 60, onHand }).verdict;
    expect([4, 5, 28, 29].map((onHand) => of(onHand))).toEqual(['order', 'enough', 'enough', 'overstocked']);
    expect(of(3, 0)).toBe('not wanted');
  });
  it('is said of every part in its bin, by what jobs drew', async () => {
    const stocked = (number: string, role: PartRole, onHand: number) => ({
      ...{ number, name: number, part: role, fits: 'globe-bolted', material: 'graphite' as const },
      ...{ price: 1, leadDays: 60, bin: 'A', onHand, reorderAt: 0 },
    });
    await shop.sequelize.transaction((transaction) =>
      putStock(
        [stocked('S-1', 'stem', 1), stocked('S-2', 'handwheel', 2), stocked('S-3', 'packing', 0)],
        transaction,
      ),
    );
    for (let i = 0; i < 12; i++)
      await DrawnPartRow.create({
        ...{ jobId: randomUUID(), part: 'stem', number: 'S-1', onDay: ago(60 * i), count: 1, price: '1' },
      });
    const { spares } = sparesView.parse((await ask('/api/store/spares')).body);
    const own = new Map(spares.map((each) => [each.number, each]));
    expect(own.get('S-1')).toMatchObject({ jobs: 12, orderPoint: 2, verdict: 'order' });
    expect(own.get('S-2')).toMatchObject({ jobs: 0, verdict: 'not wanted' });
    // New at every job of its type: what falls due says how many.
    expect(own.get('S-3')?.planned).toBe(0);
  });
});
