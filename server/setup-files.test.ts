import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { InstrumentRow, PersonRow, SiteRow } from './database/models';
import { SetupChangeRow, WorkPlaceRow } from './database/setup-models';
import { openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let lea: Screen;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  [lea, ada] = await Promise.all([Screen.open(shop, 'lea'), Screen.open(shop, 'ada')]);
});
afterAll(() => shop.close());

const csv = (...lines: readonly string[]) => lines.join('\r\n');
const look = async (kind: string, file: string) =>
  (await lea.post(`/api/setup/files/${kind}/preview`, { csv: file })).body;
const take = async (kind: string, file: string, asked: object = {}) => {
  const { after } = await look(kind, file);
  return lea.post(`/api/setup/files/${kind}`, { csv: file, after, ...asked });
};
const does = (rows: readonly { row: number; does: string; why: string[] }[]) =>
  rows.map(({ row, does: each, why }) => [row, each, why.join()].join(' ').trim());

describe('people out of a file', () => {
  const file = csv(
    'Name;Role;Skills',
    'Ebba Rask;technician;relief valves | lapping',
    'Ivo;inspector;',
    'ada;lead;',
    'Ebba rask;technician;',
    'Cam;foreman;',
  );
  it('is looked at row by row before anything is written', async () => {
    const { rows, good } = await look('people', file);
    expect(good).toBe(3);
    expect(does(rows.slice(0, 4))).toEqual([
      '2 new',
      '3 same',
      '4 change',
      '5 bad name: Ebba rask stands in this file twice',
    ]);
    expect(does(rows)[4]).toMatch(/^6 bad role: “foreman”/);
    expect(await PersonRow.count()).toBe(4);
  });
  it('one bad row stops it all, unless the rest is asked for', async () => {
    const refused = await take('people', file);
    expect(refused.status).toBe(400);
    expect(refused.body.problem.issues.map(({ path }: { path: string }) => path)).toEqual(['row 5', 'row 6']);
    expect(await PersonRow.count()).toBe(4);
  });
  it('who is new has a code that signs in once; who is here is changed', async () => {
    const taken = await take('people', file, { skipBad: true });
    expect(taken.body).toMatchObject({ written: 2, skipped: 2 });
    const [{ person, code }] = taken.body.codes;
    expect(person).toMatchObject({ name: 'Ebba Rask', skills: ['relief valves', 'lapping'] });
    const screen = await Screen.open(shop);
    const signIn = await screen.post('/api/session', { personId: person.id, pin: code });
    expect(signIn.body.problem.code).toBe('pin.to-choose');
    expect((await PersonRow.findByPk(shop.people.ada))?.role).toBe('lead');
    expect((await PersonRow.findByPk(shop.people.ivo))?.skills).toBe('[]');
    const lines = (await SetupChangeRow.findAll({ order: [['id', 'ASC']] })).map(({ what }) => what);
    expect(lines.slice(-2)).toEqual(['Ebba Rask added, as technician', 'ada: technician to lead']);
  });
  it('what comes out goes in again and changes nothing', async () => {
    const out = (await lea.get('/api/setup/files/people.csv')).text;
    expect(out.split('\r\n')[0]).toBe('name,role,skills');
    const { rows } = await look('people', out);
    expect(new Set(rows.map((each: { does: string }) => each.does))).toEqual(new Set(['same']));
  });
  it('the last lead stays one, and then nobody else is changed either', async () => {
    const both = csv('name,role', 'ada,technician', 'lea,technician', 'bo,inspector');
    const refused = await take('people', both);
    expect(refused.body.problem.code).toBe('person.last-lead');
    expect((await PersonRow.findByPk(shop.people.bo))?.role).toBe('technician');
    await take('people', csv('name,role', 'ada,technician'));
  });
  it('is refused where somebody has changed the setup since it was looked at', async () => {
    const one = csv('name,role', 'Gil,technician');
    const { after } = await look('people', one);
    await lea.post('/api/setup/people', { name: 'Hob', role: 'technician', skills: [] });
    const refused = await lea.post('/api/setup/files/people', { csv: one, after });
    expect(refused.status).toBe(409);
    expect(refused.body.problem).toMatchObject({ code: 'setup.changed', by: 'lea' });
    expect(await PersonRow.count({ where: { name: 'Gil' } })).toBe(0);
  });
  it('is a lead’s alone', async () => {
    const technician = await Screen.open(shop, 'ada');
    expect((await technician.get('/api/setup/files/people.csv')).status).toBe(403);
    expect((await technician.post('/api/setup/files/people/preview', { csv: '' })).status).toBe(403);
  });
});

describe('hours out of files', () => {
  it('days that nobody works on: those that are here keep their day, and get their name', async () => {
    await lea.post('/api/setup/hours/holidays', { day: '2099-12-25', name: 'Feast' });
    const file = csv(
      'day,name',
      '2099-12-25,Winter feast',
      '2099-12-26,Second feast',
      '26 Dec,No day',
      '2099-12-26,x',
    );
    expect(does((await look('holidays', file)).rows).map((line) => line.slice(0, 8).trim())).toEqual([
      '2 change',
      '3 new',
      '4 bad da',
      '5 bad da',
    ]);
    expect((await take('holidays', file, { skipBad: true })).body).toMatchObject({ written: 2, skipped: 2 });
    const { holidays } = (await lea.get('/api/setup/hours')).body;
    expect(holidays.map(({ name }: { name: string }) => name)).toEqual(['Winter feast', 'Second feast']);
  });
  it('who is away when: people by their names; a day alone is that day', async () => {
    const file = csv(
      'name,from,to,why',
      'Bo,2099-03-02,2099-03-06,course',
      'bo,2099-05-04,,dentist',
      'Nobody,2099-03-02,2099-03-06,course',
      'Bo,2099-06-10,2099-06-01,backwards',
    );
    expect(does((await look('absences', file)).rows)).toEqual([
      '2 new',
      '3 new',
      '4 bad name: “Nobody”: nobody here is called so',
      expect.stringMatching(/^5 bad to: .*ends on the day that it begins/),
    ]);
    await take('absences', file, { skipBad: true });
    const { people } = (await lea.get('/api/setup/hours')).body;
    const bo = people.find(({ id }: { id: string }) => id === shop.people.bo);
    expect(bo.away.map(({ from, to, why }: Record<string, string>) => [from, to, why])).toEqual([
      ['2099-03-02', '2099-03-06', 'course'],
      ['2099-05-04', '2099-05-04', 'dentist'],
    ]);
    const moved = csv('name,from,to,why', 'Bo,2099-03-02,2099-03-05,course');
    expect(does((await look('absences', moved)).rows)).toEqual(['2 change']);
    await take('absences', moved);
    const again = (await lea.get('/api/setup/files/absences.csv')).text;
    expect(again).toContain('2099-03-02,2099-03-05,course');
    expect(new Set((await look('absences', again)).rows.map((row: { does: string }) => row.does))).toEqual(
      new Set(['same']),
    );
  });
});

describe('instruments out of a file', () => {
  const heading = 'name,kind,calibration due,serial,reads,read to,read by';
  it('a driver that reads something else, and a day that only a calibration sets, are refused by name', async () => {
    const due = (await InstrumentRow.findByPk(shop.dial))?.calibrationDue;
    const { rows } = await look(
      'instruments',
      csv(
        heading,
        'Gauge 7,gauge,2027-05-01,G-7,0 to 600 psig,2 psi,simulated gauge',
        'Wrench 2,torque wrench,2027-05-01,,,,simulated dial',
        `Dial 1,dial indicator,2030-01-01,,,,simulated dial`,
        `Dial 1b,dial indicator,next May,,,,`,
      ),
    );
    expect(does(rows).slice(0, 3)).toEqual([
      '2 new',
      '3 bad read by: nothing called “simulated dial” reads a torque wrench',
      `4 bad calibration due: ${due} here; another day comes with a calibration, on its own card`,
    ]);
    expect(does(rows)[3]).toMatch(/^5 bad calibration due: “next May”/);
  });
  it('a driver is set by its cell, within its limits', async () => {
    const row = (name: string, set: string) => `${name},gauge,2027-05-01,,,,simulated gauge,${set}`;
    const file = csv(`${heading},set to`, row('Gauge 8', 'a second = 10'), row('Gauge 9', 'a second = 99'));
    const { rows } = await look('instruments', file);
    expect(does(rows)).toEqual(['2 new', '3 bad set to: a second: from 2 to 20']);
    const wrong = csv(`${heading},set to`, row('Gauge 8', 'a second = fast'), row('Gauge 9', 'hours = 2'));
    expect(does((await look('instruments', wrong)).rows)).toEqual([
      '2 bad set to: a second: from 2 to 20',
      '3 bad set to: hours: nothing on this driver is set by that name',
    ]);
  });
  it('columns that a file does not have stay as they are', async () => {
    const due = (await InstrumentRow.findByPk(shop.dial))?.calibrationDue;
    const taken = await take(
      'instruments',
      csv('name,kind,calibration due,serial', `Dial 1,dial indicator,${due},S-1`),
    );
    expect(taken.body).toMatchObject({ written: 1, skipped: 0, codes: [] });
    expect(await InstrumentRow.findByPk(shop.dial)).toMatchObject({
      serial: 'S-1',
      driver: 'simulated dial',
    });
  });
});

describe('places', () => {
  const bench = {
    name: 'Benches',
    kind: 'bench',
    count: 4,
    days: ['Fri', 'Mon'],
    opens: '07:00',
    closes: '15:30',
  };
  it('are added, changed and taken out of use by a lead, each with its line', async () => {
    const added = await lea.post('/api/setup/places', bench);
    expect(added.status).toBe(201);
    // The days of a week stand in its order.
    expect(added.body.place).toMatchObject({ days: ['Mon', 'Fri'], retired: false });
    const path = `/api/setup/places/${added.body.place.id}/change`;
    expect((await lea.post(path, { ...bench, count: 5 })).body.place.count).toBe(5);
    expect((await lea.post(path, { retired: true })).body.place.retired).toBe(true);
    expect((await lea.post(path, { retired: false })).body.place.retired).toBe(false);
    const { changes } = (await lea.get('/api/setup/changes?q=Benches')).body;
    expect(changes.map(({ what }: { what: string }) => what)).toEqual([
      'Benches in use again',
      'Benches out of use',
      'Benches: 5 × bench, Mon Fri 07:00 to 15:30',
      'Benches added, 4 × bench',
    ]);
  });
  it('two of one name, hours that end before they begin, and no day at all are refused', async () => {
    expect((await lea.post('/api/setup/places', bench)).body.problem.code).toBe('name.taken');
    for (const wrong of [{ closes: '06:00' }, { opens: '24:00' }, { days: [] }, { count: 0 }])
      expect((await lea.post('/api/setup/places', { ...bench, name: 'B', ...wrong })).status).toBe(400);
    expect((await ada.get('/api/setup/places')).status).toBe(403);
    expect(await WorkPlaceRow.count()).toBe(1);
  });
  it('come out of a file as people write them, all of them or none', async () => {
    const file = csv(
      'name,kind,count,days,opens,closes',
      'Vices,vice,3,mon tue wed thu fri,7:00,15:30:00',
      'Lathe,lathe,1,Monday Wednesday,08:00,12:00',
    );
    expect((await take('places', file)).body).toMatchObject({ written: 2, skipped: 0 });
    const { places } = (await lea.get('/api/setup/places')).body;
    expect(places.map(({ name }: { name: string }) => name)).toEqual(['Benches', 'Lathe', 'Vices']);
    expect(places[2]).toMatchObject({ opens: '07:00', closes: '15:30', count: 3 });
    expect(places[1].days).toEqual(['Mon', 'Wed']);
    const { rows } = await look(
      'places',
      csv('name,kind,count,days,opens,closes', 'Wash,wash,some,Mon,07:00,09:00'),
    );
    expect(does(rows)[0]).toMatch(/^2 bad count: “some”/);
  });
});

describe('customers out of a file', () => {
  it('their rules with them, in the units of whoever wrote it; what is not said is as usual', async () => {
    const file = csv(
      'customer,"Damage ground in, up to",Next overhaul after,A stem may be straightened',
      'Lime kiln,0.05 mm,24,yes',
      'Brickworks,,,',
      'Sawmill,two miles,24,perhaps',
    );
    const { rows } = await look('sites', file);
    expect(does(rows).slice(0, 2)).toEqual(['2 new', '3 new']);
    expect(does(rows)[2]).toContain('damage ground in, up to: “two miles”');
    expect(does(rows)[2]).toContain('a stem may be straightened: “perhaps”');
    expect((await take('sites', file, { skipBad: true })).body).toMatchObject({ written: 2, skipped: 1 });
    const kiln = await SiteRow.findByPk('Lime kiln');
    expect(JSON.parse(kiln?.rules ?? '')).toMatchObject({
      name: 'Lime kiln',
      grindInTo: { value: 0.05, unit: 'mm' },
      nextDueMonths: 24,
      straighteningAllowed: true,
      nutFactor: 0.16,
    });
  });
  it('rules that are changed so are another version, and come out whole', async () => {
    await take('sites', csv('customer,Next overhaul after', 'Lime kiln,12'));
    expect(await SiteRow.findByPk('Lime kiln')).toMatchObject({ version: 2 });
    const out = (await lea.get('/api/setup/files/sites.csv')).text;
    const { rows } = await look('sites', out);
    expect(does(rows)).toEqual(['2 same', '3 same']);
  });
});

describe('a file that cannot be read', () => {
  it('says why, and writes nothing', async () => {
    const before = await PersonRow.count();
    for (const [file, why] of [
      ['', /lacks “name”/],
      ['name,role', /a heading and no rows/],
      ['name,role\r\n"Ad,lead', /does not close/],
      [csv('name,role', ...Array.from({ length: 401 }, (_, i) => `P${i},technician`)), /more than 400 rows/],
    ] as const) {
      const { rows, good } = await look('people', file);
      expect(good).toBe(0);
      expect(does(rows)[0]).toMatch(why);
    }
    expect((await lea.post('/api/setup/files/moons/preview', { csv: '' })).status).toBe(400);
    expect(await PersonRow.count()).toBe(before);
  });
});

describe('the clocks of the shop', () => {
  it('a day begins by them: what is due today there is not overdue', async () => {
    const [dial, at] = [shop.dial, new Date()];
    const dueOn = (days: number) => new Date(at.getTime() + days * 86_400_000).toISOString().slice(0, 10);
    const standing = async (zone: string) => {
      await lea.post('/api/setup/shop', {
        name: 'Test',
        units: 'US',
        zone,
        lockMinutes: 0,
        secondFactor: 'nobody',
      });
      const { instruments } = (await ada.get('/api/instruments')).body;
      return instruments.find(({ id }: { id: string }) => id === dial).inCalibration;
    };
    // Between them these two are always a day apart somewhere: 14 h before Greenwich, 11 h behind it.
    const [early, late] = ['Pacific/Kiritimati', 'Pacific/Niue'];
    const isNextDay = at.getUTCHours() >= 10;
    await InstrumentRow.update({ calibrationDue: dueOn(isNextDay ? 0 : -1) }, { where: { id: dial } });
    expect([await standing(early), await standing(late)]).toEqual([false, true]);
    await InstrumentRow.update({ calibrationDue: dueOn(30) }, { where: { id: dial } });
    const wrong = await lea.post('/api/setup/shop', {
      name: 'Test',
      units: 'US',
      zone: 'Mars/Olympus',
      lockMinutes: 0,
      secondFactor: 'nobody',
    });
    expect(wrong.status).toBe(400);
  });
});
