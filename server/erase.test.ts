import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { eraseLongGone } from './database/erase-person';
import { PersonRow } from './database/models';
import { AbsenceRow, ExtraHoursRow } from './database/week-models';
import { hashPin } from './sign-in/pin';
import { note, openShop, PIN, Screen, type Shop } from './testing/shop';

const NAME = 'Zephyrine Quill';
let shop: Shop;
let lea: Screen;
let id: string;
let job: string;
beforeAll(async () => {
  shop = await openShop();
  lea = await Screen.open(shop, 'lea');
  id = (
    await PersonRow.create({ id: randomUUID(), name: NAME, role: 'technician', pinHash: await hashPin(PIN) })
  ).id;
  const zoe = await Screen.open({ ...shop, people: { ...shop.people, ada: id } }, 'ada');
  job = await zoe.openJob(shop);
  expect((await zoe.command(job, 2, note('by her'))).status).toBe(200);
  await lea.post(`/api/setup/people/${id}/change`, { badge: '0099-4471' });
  await lea.post(`/api/setup/people/${id}/change`, { skills: ['lathe'] });
  await AbsenceRow.create({
    personId: id,
    fromDay: '2026-12-01',
    toDay: '2026-12-02',
    why: 'at the dentist',
  });
  await ExtraHoursRow.create({ personId: id, day: '2026-12-03', opens: '16:00', closes: '18:00' });
});
afterAll(() => shop.close());

/** Every table with a row that a word stands in. */
async function tablesWith(word: string): Promise<string[]> {
  const tables = await shop.sequelize.query<{ name: string }>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
    { type: QueryTypes.SELECT },
  );
  const found: string[] = [];
  for (const { name: table } of tables) {
    const rows = await shop.sequelize.query(`SELECT * FROM \`${table}\``, { type: QueryTypes.SELECT });
    if (JSON.stringify(rows).includes(word)) found.push(table);
  }
  return found.sort();
}

const erase = () => lea.post(`/api/setup/people/${id}/erase`, {});

it('nobody who works here is erased, and no one but a lead erases', async () => {
  expect((await erase()).status).toBe(404);
  const ada = await Screen.open(shop, 'ada');
  expect((await ada.post(`/api/setup/people/${id}/erase`, {})).status).toBe(403);
});

it('who has left is erased but for what they did, which others rely on', async () => {
  expect(await tablesWith(NAME)).toEqual(expect.arrayContaining(['job_events', 'people', 'setup_changes']));
  expect((await lea.post(`/api/setup/people/${id}/change`, { left: true })).status).toBe(200);
  expect((await erase()).status).toBe(204);
  // Summaries of jobs are made from their logs.
  expect(await tablesWith(NAME)).toEqual(['job_events', 'jobs', 'setup_changes']);
  expect(await tablesWith(id)).toEqual(['job_events', 'jobs', 'people', 'setup_changes']);
  expect(await tablesWith('at the dentist')).toEqual([]);
  const row = await PersonRow.findByPk(id);
  expect(row).toMatchObject({ badge: null, deviceKey: null, secondSecret: null, skills: '[]', pinHash: '' });
  const { people } = (await lea.get('/api/setup/people')).body as {
    people: { id: string; standing: string }[];
  };
  expect(people.find((each) => each.id === id)?.standing).toBe('erased');
});

it('nobody comes back from it, and it is done once', async () => {
  expect((await lea.post(`/api/setup/people/${id}/change`, { left: false })).status).toBe(404);
  expect((await lea.post(`/api/setup/people/${id}/code`, {})).status).toBe(404);
  expect((await erase()).status).toBe(204);
  const again = await lea.post('/api/setup/people', { name: NAME, role: 'technician', skills: [] });
  expect(again.status).toBe(201);
});

it('who left longer ago than the shop keeps is erased by itself, in the name of who decided so', async () => {
  const now = new Date('2026-12-15T09:00:00Z');
  const left = (name: string, day: string) =>
    PersonRow.create({
      ...{ id: randomUUID(), name, role: 'technician', pinHash: '-' },
      leftAt: new Date(`${day}T16:00:00Z`),
    });
  const long = await left('Ottoline Fenn', '2025-12-14');
  const lately = await left('Casimir Roe', '2025-12-15');
  const here = await PersonRow.findByPk(shop.people.ada);
  const erasedNow = async () => {
    await eraseLongGone(shop.sequelize, now);
    for (const row of [long, lately, here]) await row?.reload();
    return [long, lately, here].map((row) => row?.erasedAt);
  };
  expect(await erasedNow()).toEqual([null, null, null]);
  const settings = { name: 'Quay', units: 'SI', zone: 'UTC', lockMinutes: 0, secondFactor: 'nobody' };
  for (const erasedAfterMonths of [12, 120, 12])
    expect((await lea.post('/api/setup/shop', { ...settings, erasedAfterMonths })).status).toBe(200);
  expect(await erasedNow()).toEqual([now, null, null]);
  expect([long.name, lately.name]).toEqual([expect.stringMatching(/^Former technician/), 'Casimir Roe']);
  const { changes } = (await lea.get('/api/setup/changes?q=known of')).body as { changes: object[] };
  expect(changes).toContainEqual(
    expect.objectContaining({ by: 'lea', what: `what was known of ${long.name} is erased` }),
  );
});
