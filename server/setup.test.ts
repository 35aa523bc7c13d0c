import { defaultValve } from '@dusk-wren/core/valve';
import { createHmac, randomUUID } from 'node:crypto';
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

describe('a second factor, where the shop asks for one', () => {
  const settings = async (secondFactor: string) => {
    const { body } = await lea.get('/api/setup/shop');
    await lea.post('/api/setup/shop', { ...body, secondFactor });
  };
  const signInWith = async (personId: string, second?: string, pin = PIN) => {
    const screen = await Screen.open(shop);
    return screen.post('/api/session', { personId, pin, ...(second === undefined ? {} : { second }) });
  };
  /** An authenticator of RFC 6238 that is not the library's: HMAC-SHA-1 of the half minute, cut as RFC 4226 cuts it. */
  function codeOf(secret: string, at = Date.now()): string {
    const bits = [...secret].map((each) =>
      'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(each).toString(2).padStart(5, '0'),
    );
    const key = Buffer.from((bits.join('').match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
    const counter = Buffer.alloc(8);
    counter.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)));
    const mac = createHmac('sha1', key).update(counter).digest();
    const from = (mac.at(-1) ?? 0) & 15;
    return String((mac.readUInt32BE(from) & 0x7fffffff) % 1e6).padStart(6, '0');
  }
  it('the authenticator of this test is that of RFC 6238, appendix B', () => {
    const secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';
    expect(codeOf(secret, 59_000)).toBe('287082');
    expect(codeOf(secret, 1_111_111_109_000)).toBe('081804');
    expect(codeOf(secret, 20_000_000_000_000)).toBe('353130');
  });
  it('who it is asked of sets an authenticator up with the PIN, and needs both from then on; nobody else does', async () => {
    await settings('leads');
    expect((await signInWith(shop.people.ada)).status).toBe(200);
    expect((await signInWith(shop.people.ivo)).status).toBe(200);
    const first = await signInWith(shop.people.lea);
    expect(first.status).toBe(403);
    const { code, secret, address } = first.body.problem;
    expect(code).toBe('second.to-set-up');
    expect(address).toMatch(/^otpauth:\/\/totp\/.*lea/);
    expect(new URL(address).searchParams.get('secret')).toBe(secret);
    // A PIN that is wrong learns nothing of it.
    const wrong = await signInWith(shop.people.lea, undefined, '0000');
    expect(wrong.body.problem).toEqual({ code: 'sign-in.wrong' });
    expect((await signInWith(shop.people.lea, '000000')).body.problem.code).toBe('second.wrong');
    const right = codeOf(secret);
    expect((await signInWith(shop.people.lea, right)).status).toBe(200);
    expect((await signInWith(shop.people.lea, right)).body.problem.code).toBe('second.wrong');
    const then = await signInWith(shop.people.lea);
    expect(then.body.problem).toEqual({ code: 'second.needed' });
    expect((await signInWith(shop.people.lea, codeOf(secret, Date.now() + 30_000))).status).toBe(200);
  });
  it('at another’s screen, where a PIN would be all, they do not sign; who is asked for no code does', async () => {
    await settings('leads');
    const screen = await Screen.open(shop, 'bo');
    const confirm = (personId: string, pin = PIN) =>
      screen.post('/api/confirmations', { pin, commandId: randomUUID(), personId });
    expect((await confirm(shop.people.lea, '0000')).body.problem.code).toBe('pin.wrong');
    const refused = await confirm(shop.people.lea);
    expect(refused.status).toBe(403);
    expect(refused.body.problem).toEqual({ code: 'second.own-screen', name: 'lea' });
    expect((await confirm(shop.people.ivo)).status).toBe(200);
    const own = await lea.post('/api/confirmations', { pin: PIN, commandId: randomUUID() });
    expect(own.status).toBe(200);
  });
  it('a lost phone: another code from a lead, and an authenticator is set up anew', async () => {
    await settings('leads and inspectors');
    const { secret } = (await signInWith(shop.people.ivo)).body.problem;
    await signInWith(shop.people.ivo, codeOf(secret));
    const given = await lea.post(`/api/setup/people/${shop.people.ivo}/code`, {});
    const screen = await Screen.open(shop);
    const own = { personId: shop.people.ivo, code: given.body.code, pin: '654321' };
    const chosen = await screen.post('/api/own-pin', own);
    expect(chosen.body.problem.code).toBe('second.to-set-up');
    expect(chosen.body.problem.secret).not.toBe(secret);
    expect((await screen.get('/api/session')).body.person).toBeNull();
    const again = await signInWith(shop.people.ivo, codeOf(chosen.body.problem.secret), '654321');
    expect(again.status).toBe(200);
    await settings('nobody');
    expect((await signInWith(shop.people.ivo, undefined, '654321')).status).toBe(200);
  });
  it('nobody finds a code by trying', async () => {
    await settings('leads');
    const answers: number[] = [];
    for (let i = 0; i < 7; i++) answers.push((await signInWith(shop.people.lea, `00000${i}`)).status);
    expect(answers.at(-1)).toBe(429);
    await settings('nobody');
  });
});

describe('badges', () => {
  it('a badge finds its person at a shared screen, whose PIN is asked still; another has to give it up first', async () => {
    const give = (person: string, badge: string | null) =>
      lea.post(`/api/setup/people/${person}/change`, { badge });
    expect((await give(shop.people.ada, ' 0099 4471 ')).body.person).toMatchObject({ hasBadge: true });
    const screen = await Screen.open(shop);
    const scan = (code: string) => screen.post('/api/badge', { code });
    expect((await scan('0099 4471')).body).toEqual({ personId: shop.people.ada });
    expect((await screen.get('/api/setup/people')).status).toBe(401);
    expect((await give(shop.people.bo, '0099 4471')).body.problem).toEqual({
      code: 'badge.taken',
      name: 'ada',
    });
    await give(shop.people.ada, null);
    expect((await scan('0099 4471')).body.problem.code).toBe('badge.unknown');
    const lines = await whatChanged();
    expect(lines.slice(-2)).toEqual(['ada has a badge', 'ada has no badge any more']);
    // Neither the table nor the list of changes can be read for a badge.
    const all = JSON.stringify([await PersonRow.findAll(), await SetupChangeRow.findAll()]);
    expect(all).not.toContain('0099');
  });
  it('nobody finds one by trying', async () => {
    const screen = await Screen.open(shop);
    const answers: number[] = [];
    for (let i = 0; i < 7; i++)
      answers.push((await screen.post('/api/badge', { code: `guess ${i}` })).status);
    expect(answers.slice(0, 4)).toEqual([404, 404, 404, 404]);
    expect(answers.at(-1)).toBe(429);
  });
});

describe('what seals a person’s things on a device', () => {
  it('comes with their sign-in, the same at every screen, and with nobody else’s', async () => {
    const keyOf = async (screen: Screen) => (await screen.get('/api/session')).body.deviceKey;
    const [ada2, bo] = await Promise.all([Screen.open(shop, 'ada'), Screen.open(shop, 'bo')]);
    const key = await keyOf(ada);
    expect(Buffer.from(key, 'base64')).toHaveLength(32);
    expect(await keyOf(ada2)).toBe(key);
    expect(await keyOf(bo)).not.toBe(key);
    expect(await keyOf(await Screen.open(shop))).toBeNull();
  });
});

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

  it('is read by what reads its kind, set within its limits; set on another driver it is set anew', async () => {
    const change = (body: object) => lea.post(`/api/setup/instruments/${id}/change`, body);
    for (const wrong of [
      { driver: 'simulated dial' },
      { driver: 'psychic' },
      { driver: 'simulated gauge', settings: { 'a second': 21 } },
      { driver: 'simulated gauge', settings: { hours: 1 } },
      { settings: { 'a second': 4 } },
    ]) {
      const refused = await change(wrong);
      expect(refused.status, JSON.stringify(wrong)).toBe(400);
      expect(refused.body.text).toMatch(/driver|settings/);
    }
    const set = await change({ driver: 'simulated gauge', settings: { 'a second': 10 } });
    expect(set.body.instrument).toMatchObject({ driver: 'simulated gauge', settings: { 'a second': 10 } });
    expect((await change({ serial: 'G 77 105' })).body.instrument.settings).toEqual({ 'a second': 10 });
    expect((await change({ driver: '' })).body.instrument).toMatchObject({ driver: '', settings: {} });
    expect(await whatChanged()).toContain('Gauge 77: driver, settings changed');
  });

  it('the days that they are due come as a calendar, for a lead', async () => {
    const answer = await lea.get('/api/setup/instruments/due.ics');
    expect(answer.headers['content-type']).toContain('text/calendar');
    expect(answer.text).toContain('DTSTART;VALUE=DATE:20990131');
    expect(answer.text).toContain('SUMMARY:Gauge 77: calibration due');
    expect(answer.text.match(/BEGIN:VEVENT/g)).toHaveLength((await onBenches()).length);
    expect((await ada.get('/api/setup/instruments/due.ics')).status).toBe(403);
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
