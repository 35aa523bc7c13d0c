import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PersonRow, SetupChangeRow } from './database/models';
import { note, openShop, PIN, Screen, type Shop } from './testing/shop';

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
    expect((await invite('Nia')).body.problem).toMatchObject({ code: 'person.same-name', name: 'Nia' });
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
