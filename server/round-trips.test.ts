import type { SetupFileKind } from '@dusk-wren/contract';
import type { ImportKind } from '@dusk-wren/contract/stock';
import { CONSTRUCTION_IDS, defaultValve } from '@dusk-wren/core/valve';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defineModels } from './database/models';
import { putKits, putStock } from './database/stock';
import { fileValve } from './database/valves';
import { KIT_SHEETS, stockOf } from './demo/stock';
import { openShop, Screen, type Shop } from './testing/shop';

/** Whoever goes to another program, or comes from one, takes everything along: what goes out comes in again as it was. */
describe('what goes out of one shop comes in at another as it was', () => {
  let here: Shop;
  let there: Shop;
  let lead: Screen;
  let other: Screen;
  const valves = CONSTRUCTION_IDS.map((id, i) => ({
    ...defaultValve(id),
    // What a spreadsheet takes for something else is as it was all the same.
    ...{ tag: `RT-${i}`, serial: `000${i}`, customer: i % 2 ? '=Works; "west"' : 'Mühle & Söhne, № 2' },
    location: `pump ${i},\n"north"`,
  }));
  /** Another program’s reading of it. */
  const rowsOf = (csv: string) => Papa.parse<string[]>(csv, { skipEmptyLines: true }).data;
  const lines = (csv: string) =>
    rowsOf(csv)
      .map((row) => JSON.stringify(row))
      .toSorted();
  /** Models belong to one database at a time. */
  const at = <T>(shop: Shop, work: () => Promise<T>): Promise<T> => {
    defineModels(shop.sequelize);
    return work();
  };

  beforeAll(async () => {
    here = await openShop();
    lead = await Screen.open(here, 'lea');
    await here.sequelize.transaction(async (transaction) => {
      for (const valve of valves) await fileValve(valve, transaction);
      await putKits(KIT_SHEETS, transaction);
      for (const [i, valve] of valves.entries()) await putStock(stockOf(valve, i + 1), transaction);
    });
    there = await openShop();
    other = await Screen.open(there, 'lea');
  });
  afterAll(async () => {
    await there.close();
    await here.close();
  });

  const out = (shop: Shop, screen: Screen, path: string) =>
    at(shop, async () => (await screen.get(path)).text);
  const takeIn = (shop: Shop, screen: Screen, kind: SetupFileKind, csv: string) =>
    at(shop, async () => {
      const { after } = (await screen.post(`/api/setup/files/${kind}/preview`, { csv })).body;
      const taken = await screen.post(`/api/setup/files/${kind}`, { csv, after });
      if (taken.status !== 200) throw new Error(`${kind}: ${taken.text}`);
      return taken;
    });
  const FILES = ['people', 'holidays', 'absences', 'places', 'sites'] as const;
  const FILLED: Record<(typeof FILES)[number], string> = {
    people: 'name,role,skills\nÅsa =Holm,technician,lapping | relief valves\n',
    holidays: 'day,name\n2027-01-01,"New Year; all day"\n',
    absences: 'name,from,to,why\nada,2027-02-01,2027-02-05,"course, away"\n',
    places: 'name,kind,count,days,opens,closes\nVices,vice,3,Mon Tue,07:30,15:30\n',
    sites: `customer,Next overhaul after,A stem may be straightened\n"=Works; ""west""",24,yes\n"Mühle & Söhne, № 2",,\n`,
  };
  it('customers, people, places, days and instruments, as CSV', async () => {
    for (const kind of FILES) await takeIn(here, lead, kind, FILLED[kind]);
    for (const kind of [...FILES, 'instruments'] as const) {
      const csv = await out(here, lead, `/api/setup/files/${kind}.csv`);
      expect(rowsOf(csv).length).toBeGreaterThan(1);
      expect((await takeIn(there, other, kind, csv)).body.skipped).toBe(0);
      expect([kind, lines(await out(there, other, `/api/setup/files/${kind}.csv`))]).toEqual([
        kind,
        lines(csv),
      ]);
    }
  });
  it('valves of all constructions, as CSV', async () => {
    const csv = await out(here, lead, '/api/setup/files/valves.csv');
    // A heading, and the valve that a shop of the tests begins with.
    expect(rowsOf(csv)).toHaveLength(CONSTRUCTION_IDS.length + 2);
    expect((await takeIn(there, other, 'valves', csv)).body.skipped).toBe(0);
    expect(lines(await out(there, other, '/api/setup/files/valves.csv'))).toEqual(lines(csv));
  });
  it.each(['parts', 'stock', 'kits'] satisfies ImportKind[])('%s of the store, as CSV', async (kind) => {
    const csv = await out(here, lead, `/api/store/export/${kind}.csv`);
    expect(rowsOf(csv).length).toBeGreaterThan(kind === 'kits' ? 5 : 50);
    const taken = await at(there, () => other.post('/api/store/import', { kind, csv }));
    expect([taken.status, taken.body.skipped]).toEqual([200, 0]);
    expect(lines(await out(there, other, `/api/store/export/${kind}.csv`))).toEqual(lines(csv));
  });
  it('a job, as JSON: its log entry by entry, and one more that says where it came from', async () => {
    const job = await at(here, () => lead.openJob(here));
    const exported = await at(here, async () => (await lead.get(`/api/jobs/${job}/export.json`)).body);
    const taken = await at(there, () => other.post('/api/jobs/import', exported));
    expect([taken.status, taken.body.id]).toEqual([201, job]);
    const again = await at(there, async () => (await other.get(`/api/jobs/${job}/export.json`)).body);
    expect(again.valve).toEqual(exported.valve);
    expect(again.entries.slice(0, -1)).toEqual(exported.entries);
    expect(again.entries.at(-1).kind).toBe('job-imported');
  });
});
