import { defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PersonRow } from './database/models';
import { SetupChangeRow } from './database/setup-models';
import { note, openShop, PIN, Screen, stripToRunout, type Shop } from './testing/shop';

let shop: Shop;
let lea: Screen;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  [lea, ada] = await Promise.all([Screen.open(shop, 'lea'), Screen.open(shop, 'ada')]);
});
afterAll(() => shop.close());

const invite = (name: string, role = 'technician') =>
  lea.post('/api/setup/people', { name, role, skills: ['relief valves'] });
const signIn = async (personId: string, pin: string) => {
  const screen = await Screen.open(shop);
  return { screen, answer: await screen.post('/api/session', { personId, pin }) };
};
const whatChanged = async () =>
  (await SetupChangeRow.findAll({ order: [['id', 'ASC']] })).map(({ what }) => what);

describe('people, set up by a lead', () => {
  it('nobody but a lead sees or changes any of it', async () => {
    for (const path of ['people', 'changes', 'changes.csv'])
      expect((await ada.get(`/api/setup/${path}`)).status).toBe(403);
    const asked = { name: 'X', role: 'lead', skills: [] };
    expect((await ada.post('/api/setup/people', asked)).body.problem.code).toBe('role.not-allowed');
    expect(await PersonRow.count({ where: { name: 'X' } })).toBe(0);
  });

  it('somebody new signs in by a code once, chooses a PIN, and the code is worth nothing any more', async () => {
    const added = await invite('Nia');
    expect(added.status).toBe(201);
    const { person, code } = added.body;
    expect(person).toMatchObject({ name: 'Nia', standing: 'invited', skills: ['relief valves'] });
    // As a hand types it.
    const typed = code.replace(/(.{4})/, '$1 ');
    const { screen, answer } = await signIn(person.id, typed);
    expect(answer.status).toBe(403);
    expect(answer.body).toMatchObject({ problem: { code: 'pin.to-choose', least: 4 } });
    const short = await screen.post('/api/own-pin', { personId: person.id, code: typed, pin: '12' });
    expect(short.status).toBe(400);
    const chosen = await screen.post('/api/own-pin', { personId: person.id, code: typed, pin: '2580' });
    expect(chosen.status).toBe(200);
    expect(chosen.body.person).toMatchObject({ name: 'Nia', role: 'technician' });
    expect((await signIn(person.id, typed)).answer.body.problem.code).toBe('sign-in.wrong');
    expect((await signIn(person.id, '2580')).answer.status).toBe(200);
    const again = await (
      await Screen.open(shop)
    ).post('/api/own-pin', {
      personId: person.id,
      code: typed,
      pin: '1111',
    });
    expect(again.body.problem.code).toBe('sign-in.wrong');
  });

  it('a PIN is no code: nobody takes another one by it', async () => {
    const screen = await Screen.open(shop);
    const asked = { personId: shop.people.ada, code: PIN, pin: '9999' };
    expect((await screen.post('/api/own-pin', asked)).body.problem.code).toBe('sign-in.wrong');
    expect((await signIn(shop.people.ada, PIN)).answer.status).toBe(200);
  });

  it('an inspector chooses six digits at least, and a code runs out after a week', async () => {
    const { person, code } = (await invite('Noor', 'inspector')).body;
    const screen = await Screen.open(shop);
    const choose = (pin: string) => screen.post('/api/own-pin', { personId: person.id, code, pin });
    expect((await choose('12345')).body.problem).toMatchObject({ code: 'pin.too-short', least: 6 });
    await PersonRow.update({ codeUntil: new Date(Date.now() - 1000) }, { where: { id: person.id } });
    expect((await choose('123456')).body.problem.code).toBe('pin.code-over');
    expect((await signIn(person.id, code)).answer.body.problem.code).toBe('pin.code-over');
    const { people } = (await lea.get('/api/setup/people')).body;
    expect(people.find(({ id }: { id: string }) => id === person.id).standing).toBe('code over');
  });

  it('two of one name are told apart, and a code signs nothing', async () => {
    expect((await invite('Nia')).body.problem).toMatchObject({ code: 'name.taken', name: 'Nia' });
    const { person, code } = (await invite('Ozan', 'inspector')).body;
    const asked = {
      pin: code,
      commandId: '00000000-0000-4000-8000-000000000055',
      personId: person.id,
    };
    expect((await ada.post('/api/confirmations', asked)).body.problem.code).toBe('pin.to-choose');
  });

  it('who leaves is signed out everywhere and cannot sign in; what they did stays; they can come back', async () => {
    const { person, code } = (await invite('Pim')).body;
    const pim = await Screen.open(shop);
    pim.signedIn(await pim.post('/api/own-pin', { personId: person.id, code, pin: '4321' }));
    const job = await pim.openJob(shop);
    expect((await pim.command(job, 2, note('checked'))).status).toBe(200);
    const change = (body: object) => lea.post(`/api/setup/people/${person.id}/change`, body);
    expect((await change({ left: true })).body.person.standing).toBe('left');
    expect((await pim.command(job, 3, note('once more'))).status).toBe(401);
    expect((await signIn(person.id, '4321')).answer.body.problem.code).toBe('sign-in.wrong');
    const names = (await ada.get('/api/people')).body.people.map(({ name }: { name: string }) => name);
    expect(names).not.toContain('Pim');
    const { entries } = (await ada.get(`/api/jobs/${job}`)).body;
    expect(entries.at(-1).by.name).toBe('Pim');
    expect((await change({ left: false })).status).toBe(200);
    expect((await signIn(person.id, '4321')).answer.status).toBe(200);
  });

  it('another code closes their screens and ends the PIN before it', async () => {
    const { person, code } = (await invite('Quin')).body;
    const quin = await Screen.open(shop);
    quin.signedIn(await quin.post('/api/own-pin', { personId: person.id, code, pin: '4321' }));
    const fresh = await lea.post(`/api/setup/people/${person.id}/code`, {});
    expect(fresh.body.code).not.toBe(code);
    expect((await quin.get('/api/jobs')).status).toBe(401);
    expect((await signIn(person.id, '4321')).answer.body.problem.code).toBe('sign-in.wrong');
    expect((await signIn(person.id, fresh.body.code)).answer.body.problem.code).toBe('pin.to-choose');
  });

  it('the last lead stays one, until another has a PIN', async () => {
    const change = (id: string, body: object) => lea.post(`/api/setup/people/${id}/change`, body);
    const leads = (await PersonRow.findAll({ where: { role: 'lead' } })).filter(
      ({ id }) => id !== shop.people.lea,
    );
    for (const { id } of leads) await change(id, { left: true });
    for (const body of [{ role: 'technician' }, { left: true }])
      expect((await change(shop.people.lea, body)).body.problem.code).toBe('person.last-lead');
    const { person } = (await invite('Rua', 'lead')).body;
    expect((await change(shop.people.lea, { left: true })).body.problem.code).toBe('person.last-lead');
    expect(person.standing).toBe('invited');
  });

  it('every change has its line, found by a word and by who made it, and none holds a code', async () => {
    const all = await whatChanged();
    expect(all).toEqual(expect.arrayContaining(['Nia added, as technician', 'Pim has left', 'Pim is back']));
    const found = (await lea.get('/api/setup/changes?q=has%20left')).body.changes;
    expect(found[0]).toMatchObject({ what: expect.stringContaining('has left') as string, by: 'lea' });
    expect((await lea.get('/api/setup/changes?q=%25')).body.changes).toEqual([]);
    const rows = await SetupChangeRow.findAll({ raw: true });
    expect(JSON.stringify(rows)).not.toMatch(/argon2|pinHash|"code"/);
    const csv = await lea.get('/api/setup/changes.csv');
    expect(csv.headers['content-type']).toContain('text/csv');
    expect(csv.text.split('\r\n').length).toBeGreaterThan(all.length);
  });
});

describe('instruments, kept by a lead', () => {
  const asked = {
    name: 'Gauge 77',
    kind: 'gauge',
    serial: 'G 77 104',
    reach: '0 to 600 psig',
    resolution: '2 psi',
    driver: '',
    calibrationDue: '2099-01-31',
  };
  const onBenches = async () =>
    (await ada.get('/api/instruments')).body.instruments as {
      id: string;
      name: string;
      inCalibration: boolean;
    }[];
  let id = '';

  it('added, it can be read with; twice of one name, or a due day that is none, is refused', async () => {
    const added = await lea.post('/api/setup/instruments', asked);
    expect(added.status, JSON.stringify(added.body)).toBe(201);
    ({ id } = added.body.instrument);
    expect(added.body.instrument).toMatchObject({
      inCalibration: true,
      simulated: false,
      retired: false,
      calibrations: [],
    });
    expect(await onBenches()).toContainEqual(expect.objectContaining({ id, name: 'Gauge 77' }));
    expect((await lea.post('/api/setup/instruments', asked)).body.problem.code).toBe('name.taken');
    const never = { ...asked, name: 'Gauge 78', calibrationDue: '2099-02-31' };
    expect((await lea.post('/api/setup/instruments', never)).status).toBe(400);
    expect((await ada.post('/api/setup/instruments', { ...asked, name: 'Gauge 79' })).status).toBe(403);
  });

  it('a calibration says how it was found and left, and until when it is good', async () => {
    const calibrate = (body: object) => lea.post(`/api/setup/instruments/${id}/calibrations`, body);
    const done = {
      day: '2026-11-02',
      due: '2027-11-02',
      foundOffPercent: 3,
      leftOffPercent: 0.2,
      certificate: 'C 118',
    };
    expect((await calibrate({ ...done, due: '2026-11-02' })).status).toBe(400);
    const { instrument } = (await calibrate(done)).body;
    expect(instrument).toMatchObject({
      calibrationDue: '2027-11-02',
      calibrations: [{ ...done, by: 'lea' }],
    });
  });

  it('what it read since the calibration before the last is listed by job and step', async () => {
    const opened = await ada.post('/api/jobs', {
      commandId: randomUUID(),
      valve: { new: { ...defaultValve('globe-bolted'), tag: 'TRACED-1' } },
      place: 'bare',
      reported: 'test',
    });
    const job = String(opened.body.id);
    const before = (await lea.get(`/api/setup/instruments/${shop.dial}/readings?units=SI`)).body;
    const version = await stripToRunout(ada, job);
    const read = {
      kind: 'take-runout',
      body: {
        step: 'inspect.runout',
        readings: Array.from({ length: 12 }, () => '0 thou'),
        readBy: shop.dial,
      },
    };
    expect((await ada.command(job, version, read)).status).toBe(200);
    const after = (await lea.get(`/api/setup/instruments/${shop.dial}/readings?units=SI`)).body;
    expect(after.readings.length).toBe(before.readings.length + 1);
    expect(after.readings[0]).toMatchObject({ job, by: 'ada', step: expect.stringMatching(/\S/) as string });
    expect((await ada.get(`/api/setup/instruments/${shop.dial}/readings?units=SI`)).status).toBe(403);
  });

  it('out of use it is on no bench and takes no reading; what it read stays', async () => {
    const change = (retired: boolean) => lea.post(`/api/setup/instruments/${id}/change`, { retired });
    expect((await change(true)).body.instrument.retired).toBe(true);
    expect((await onBenches()).map(({ name }) => name)).not.toContain('Gauge 77');
    expect((await change(false)).body.instrument.retired).toBe(false);
    expect(await whatChanged()).toEqual(
      expect.arrayContaining(['Gauge 77 added, gauge', 'Gauge 77 taken out of use', 'Gauge 77 in use again']),
    );
  });
});
