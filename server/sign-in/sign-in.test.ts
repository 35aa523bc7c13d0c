import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DeviceRow, PersonRow, TriesRow } from '../database/models';
import { waitAfter } from '../database/sign-in-tries';
import { note, openShop, PIN, Screen, type Shop } from '../testing/shop';
import { firstLeadCode } from './first-lead';
import { hashPin } from './pin';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

const signIn = (screen: Screen, who: keyof Shop['people'], pin = PIN) =>
  screen.post('/api/session', { personId: shop.people[who], pin });
const sessions = () => shop.sequelize.model('SessionRow').count();

describe('waits after wrong PINs', () => {
  it('none for four, then twice as long each time, an hour at most', () => {
    expect([1, 4, 5, 6, 7, 8].map(waitAfter)).toEqual([0, 0, 15, 30, 60, 120]);
    expect(waitAfter(40)).toBe(3600);
  });
  it('a space of ten thousand PINs takes a stranger more than a year, not a day', () => {
    let seconds = 0;
    for (let tries = 1; tries <= 10_000; tries++) seconds += waitAfter(tries);
    expect(seconds / 86_400).toBeGreaterThan(365);
  });
});

describe('guessing', () => {
  it('is slowed down per person, whatever address it writes, and a right PIN waits as long', async () => {
    const stranger = await Screen.open(shop);
    const codes: string[] = [];
    for (let i = 0; i < 7; i++) {
      const answer = await stranger.agent
        .post('/api/session')
        .set(stranger.headers())
        .set('x-forwarded-for', `10.0.0.${i}`)
        .send({ personId: shop.people.bo, pin: i === 6 ? PIN : '0000' });
      codes.push(String(answer.body.problem?.code));
      if (answer.status === 429) expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0);
    }
    expect(codes).toEqual([
      ...Array<string>(5).fill('sign-in.wrong'),
      'request.too-many',
      'request.too-many',
    ]);
  });
  it('many at once count as many', async () => {
    const strangers = await Promise.all(Array.from({ length: 12 }, () => Screen.open(shop)));
    const answers = await Promise.all(strangers.map((each) => signIn(each, 'ivo', '1111')));
    expect(answers.filter(({ status }) => status === 401)).toHaveLength(5);
    expect(answers.filter(({ status }) => status === 429)).toHaveLength(7);
  });
  it('of a stranger makes nobody wait on a device they have signed in on before', async () => {
    const bench = await Screen.open(shop, 'lea');
    const stranger = await Screen.open(shop);
    for (let i = 0; i < 8; i++) await signIn(stranger, 'lea', '2222');
    expect((await signIn(stranger, 'lea')).status).toBe(429);
    expect((await signIn(bench, 'lea')).status).toBe(200);
  });
  it('by whoever knows a device is counted there', async () => {
    const bench = await Screen.open(shop, 'ada');
    for (let i = 0; i < 5; i++) expect((await signIn(bench, 'ada', '3333')).status).toBe(401);
    expect((await signIn(bench, 'ada', '3333')).status).toBe(429);
    // Another's device is no better than a stranger's for this person.
    const other = await Screen.open(shop);
    expect((await signIn(other, 'ada')).status).toBe(200);
    await TriesRow.destroy({ where: {} });
  });
  it('is not what a shift change is: right PINs are never counted', async () => {
    const bench = await Screen.open(shop);
    for (let i = 0; i < 15; i++) {
      const answer = await signIn(bench, 'ada');
      expect(answer.status).toBe(200);
      bench.signedIn(answer);
    }
    expect(await TriesRow.count()).toBe(0);
  });
  it('without the token of its page spends nothing of anybody’s', async () => {
    const screen = await Screen.open(shop);
    for (let i = 0; i < 10; i++) {
      const answer = await screen.agent.post('/api/session').send({ personId: shop.people.ada, pin: '4444' });
      expect(answer.body.problem.code).toBe('csrf.missing');
    }
    expect(await TriesRow.count()).toBe(0);
  });
  it('at made-up people leaves one row, not one each', async () => {
    const screen = await Screen.open(shop);
    for (let i = 0; i < 4; i++)
      expect((await screen.post('/api/session', { personId: randomUUID(), pin: PIN })).status).toBe(401);
    expect(await TriesRow.count()).toBe(1);
    await TriesRow.destroy({ where: {} });
  });
});

describe('a session', () => {
  it('is not made by looking at the sign-in page', async () => {
    const before = await sessions();
    for (let i = 0; i < 5; i++) {
      const screen = await Screen.open(shop);
      await screen.get('/api/people');
    }
    expect(await sessions()).toBe(before);
    await Screen.open(shop, 'ada');
    expect(await sessions()).toBe(before + 1);
  });
  it('that has expired is none, swept away or not', async () => {
    const ada = await Screen.open(shop, 'ada');
    expect((await ada.get('/api/jobs')).status).toBe(200);
    await shop.sequelize.query("UPDATE sessions SET expires = '2020-01-01'");
    expect((await ada.get('/api/jobs')).status).toBe(401);
    expect((await ada.get('/api/session')).body.person).toBeNull();
  });
  it('of somebody removed ends at the next request', async () => {
    const id = randomUUID();
    await PersonRow.create({ id, name: 'leaver', role: 'technician', pinHash: await hashPin(PIN) });
    const screen = await Screen.open(shop);
    screen.signedIn(await screen.post('/api/session', { personId: id, pin: PIN }));
    const job = await screen.openJob(shop);
    await PersonRow.destroy({ where: { id } });
    const answer = await screen.command(job, 2, note('still here'));
    expect(answer.status).toBe(401);
    expect((await screen.get('/api/jobs')).status).toBe(401);
    await shop.sequelize.query('UPDATE jobs SET open_valve_id = NULL');
  });
  it('is of the role that its person has now', async () => {
    const id = randomUUID();
    await PersonRow.create({ id, name: 'climber', role: 'lead', pinHash: await hashPin(PIN) });
    const screen = await Screen.open(shop);
    screen.signedIn(await screen.post('/api/session', { personId: id, pin: PIN }));
    const preview = () => screen.post('/api/store/import/preview', { kind: 'parts', csv: 'number\n' });
    expect((await preview()).status).toBe(200);
    await PersonRow.update({ role: 'technician' }, { where: { id } });
    expect((await preview()).status).toBe(403);
    expect((await screen.get('/api/session')).body.person).toMatchObject({ role: 'technician' });
  });
  it('says whose shop it is', async () => {
    const screen = await Screen.open(shop);
    expect((await screen.get('/api/session')).body.shop).toBe('Test Street valve shop');
  });
});

describe('a write', () => {
  it('of one person is not stored under another’s name, though the browser is signed in as that one now', async () => {
    const ada = await Screen.open(shop, 'ada');
    const job = await ada.openJob(shop);
    // A second window of the same browser signs somebody else in: the cookie is theirs, the page is still Ada's.
    const { body } = await signIn(ada, 'lea');
    const stale = await ada.agent
      .post(`/api/jobs/${job}/commands`)
      .set('x-csrf-token', body.csrf)
      .set('x-person', shop.people.ada)
      .send({ baseVersion: 2, commandId: randomUUID(), command: note('ada did this') });
    expect(stale.status).toBe(403);
    expect(stale.body).toMatchObject({ problem: { code: 'person.other', signedIn: 'lea' } });
    const anonymous = await ada.agent
      .post(`/api/jobs/${job}/commands`)
      .set('x-csrf-token', body.csrf)
      .send({ baseVersion: 2, commandId: randomUUID(), command: note('nobody did this') });
    expect(anonymous.body.problem.code).toBe('person.other');
    const { body: log } = await ada.get(`/api/jobs/${job}`);
    expect(log.entries.map(({ kind }: { kind: string }) => kind)).not.toContain('note-added');
  });
});

describe('the first lead', () => {
  it('is made with the code that the server prints, once, and is signed in', async () => {
    const empty = await openShop();
    await PersonRow.destroy({ where: {} });
    const screen = await Screen.open(empty);
    const make = (code: string, pin = '271828') =>
      screen.post('/api/first-lead', { code, name: 'Petra', pin });
    expect((await make('AAAA-BBBB-CCCC')).body.problem.code).toBe('first-lead.wrong-code');
    const code = firstLeadCode(empty.config);
    expect((await make(code, '2718')).body.problem.code).toBe('pin.too-short');
    const made = await make(code.toLowerCase().replaceAll('-', ' '));
    expect(made.status).toBe(201);
    expect(made.body.person).toMatchObject({ name: 'Petra', role: 'lead' });
    screen.signedIn(made);
    expect((await screen.get('/api/jobs')).status).toBe(200);
    expect((await make(code)).body.problem.code).toBe('first-lead.somebody-is-here');
    expect(await PersonRow.count()).toBe(1);
    await empty.close();
  });
  it('by several at once is still one', async () => {
    const empty = await openShop();
    await PersonRow.destroy({ where: {} });
    const screens = await Promise.all([1, 2, 3].map(() => Screen.open(empty)));
    const code = firstLeadCode(empty.config);
    await Promise.all(
      screens.map((each, i) => each.post('/api/first-lead', { code, name: `Lead ${i}`, pin: '314159' })),
    );
    expect(await PersonRow.count()).toBe(1);
    await empty.close();
  });
});

describe('a device', () => {
  it('is known by a cookie that scripts cannot read, and kept by its hash alone', async () => {
    const screen = await Screen.open(shop);
    const answer = await signIn(screen, 'ada');
    const cookie = [answer.headers['set-cookie'] ?? []]
      .flat()
      .find((each: string) => each.startsWith('dusk-wren-device='));
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    const value = /=([^;]+)/.exec(cookie ?? '')?.[1] ?? '';
    expect(value.length).toBeGreaterThan(20);
    expect(await DeviceRow.count({ where: { device: value } })).toBe(0);
  });
});
