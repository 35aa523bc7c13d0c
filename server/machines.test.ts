import { createHmac } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import {
  eventsView,
  hooksView,
  TOKEN_ASKS_A_MINUTE,
  newHookView,
  newTokenView,
  workOrderView,
  type MachineScope,
} from '@dusk-wren/contract';
import { OPERATIONS } from '@dusk-wren/contract/open-api';
import { defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pruneTold } from './database/happenings';
import { CallRow, HappeningRow, MachineTokenRow } from './database/machine-models';
import { MOST_TRIES, pauseAfter, tellWhatIsDue } from './machines/teller';
import { openShop, Screen, type Shop } from './testing/shop';

let clock = Date.parse('2026-11-30T08:00:00.000Z');
const now = () => new Date(clock);

describe('other programs', () => {
  let shop: Shop;
  let lea: Screen;
  let ada: Screen;
  const made = async (name: string, scopes: readonly MachineScope[], days = 30) =>
    newTokenView.parse((await lea.post('/api/setup/machines/tokens', { name, scopes, days })).body);
  const machine = (secret: string) => ({
    ask: (method: 'get' | 'post' | 'put' | 'delete', path: string, body?: object) =>
      request(shop.app.express)[method](`/api${path}`).set('authorization', `Bearer ${secret}`).send(body),
  });
  let receiver: Server;
  const heard: { headers: Record<string, unknown>; body: string }[] = [];
  let answers: number[] = [];
  let host: string;

  beforeAll(async () => {
    receiver = createServer((incoming, response) => {
      let body = '';
      incoming.on('data', (piece: Buffer) => (body += piece.toString()));
      incoming.on('end', () => {
        heard.push({ headers: incoming.headers, body });
        const status = answers.shift() ?? 204;
        response.writeHead(status, status === 302 ? { location: '/elsewhere' } : {}).end();
      });
    });
    await new Promise<void>((listening) => receiver.listen(0, '127.0.0.1', listening));
    host = `127.0.0.1:${(receiver.address() as AddressInfo).port}`;
    shop = await openShop({ HOOK_HOSTS: host }, undefined, now);
    [lea, ada] = [await Screen.open(shop, 'lea'), await Screen.open(shop, 'ada')];
  });
  afterAll(async () => {
    await new Promise((closed) => receiver.close(closed));
    await shop.close();
  });

  describe('tokens', () => {
    it('are made by a lead, told once, and kept as a hash', async () => {
      expect(
        (await ada.post('/api/setup/machines/tokens', { name: 'x', scopes: ['due'], days: 1 })).status,
      ).toBe(403);
      const { token, secret } = await made('Planning', ['due']);
      expect(secret).toMatch(/^dw_[\w-]{43}$/);
      const listed = await lea.get('/api/setup/machines/tokens');
      expect(listed.text).toContain('Planning');
      expect(listed.text).not.toContain(secret);
      const row = await MachineTokenRow.findByPk(token.id);
      expect(JSON.stringify(row)).not.toContain(secret.slice(3));
      expect((await lea.get('/api/setup/changes')).text).toContain('a token for Planning: due; 30 days');
    });
    it('let to what their scopes say, and to nothing else', async () => {
      const { secret } = await made('Reader', ['due', 'register']);
      const { ask } = machine(secret);
      expect((await ask('get', '/due?by=2030-01-01')).status).toBe(200);
      expect((await ask('get', '/register')).status).toBe(200);
      const refused = [];
      for (const { method, path, scope } of OPERATIONS) {
        if (scope === 'due' || scope === 'register') continue;
        const answer = await ask(method, path.replaceAll(/\{\w+\}/g, shop.valve), {});
        if (answer.status !== 403) refused.push([method, path, answer.status]);
      }
      expect(refused).toEqual([]);
      for (const path of ['/setup/people', '/setup/machines/tokens', '/drills', '/week/pins', '/nowhere'])
        expect([path, (await ask('post', path, {})).status]).toEqual([path, 403]);
    });
    it('nobody’s session helps one', async () => {
      const { secret } = await made('Alone', ['due']);
      const both = await ada.agent.get('/api/jobs').set('authorization', `Bearer ${secret}`);
      expect(both.status).toBe(403);
      expect(
        (await ada.agent.get('/api/jobs').set('authorization', 'Bearer dw_not_one_of_them')).status,
      ).toBe(401);
      expect((await ada.agent.get('/api/jobs').set('authorization', 'Basic YTpi')).status).toBe(401);
      expect((await ada.get('/api/jobs')).status).toBe(200);
    });
    it('are over after their days, and when a lead ends them', async () => {
      const [short, ended] = [await made('Short', ['due'], 1), await made('Ended', ['due'])];
      const ask = (secret: string) => machine(secret).ask('get', '/due?by=2030-01-01');
      expect([(await ask(short.secret)).status, (await ask(ended.secret)).status]).toEqual([200, 200]);
      expect((await lea.post(`/api/setup/machines/tokens/${ended.token.id}/end`, {})).status).toBe(204);
      expect((await ask(ended.secret)).status).toBe(401);
      clock += 23 * 60 * 60 * 1000;
      expect((await ask(short.secret)).status).toBe(200);
      clock += 2 * 60 * 60 * 1000;
      expect((await ask(short.secret)).status).toBe(401);
      [lea, ada] = [await Screen.open(shop, 'lea'), await Screen.open(shop, 'ada')];
    });
  });

  it('one that asks without end is told to wait, and no other with it', async () => {
    const [busy, calm] = [await made('Without end', ['due']), await made('Calm', ['due'])];
    const ask = (secret: string) => machine(secret).ask('get', '/due?by=2030-01-01');
    const statuses = new Set<number>();
    for (let asked = 0; asked < TOKEN_ASKS_A_MINUTE; asked += 50)
      for (const { status } of await Promise.all(Array.from({ length: 50 }, () => ask(busy.secret))))
        statuses.add(status);
    expect(statuses).toEqual(new Set([200]));
    const refused = await ask(busy.secret);
    expect([refused.status, refused.body.problem.code]).toEqual([429, 'request.too-many']);
    const seconds = Number(refused.headers['retry-after']);
    expect(seconds).toBeGreaterThan(0);
    expect(seconds).toBeLessThanOrEqual(60);
    expect((await ask(calm.secret)).status).toBe(200);
    expect((await ada.get('/api/jobs')).status).toBe(200);
  });

  describe('work orders', () => {
    const order = { tag: 't 1', reported: 'weeps at the gland', due: '2026-12-09' };
    let planning: ReturnType<typeof machine>;
    let other: ReturnType<typeof machine>;
    beforeAll(async () => {
      planning = machine((await made('Works planning', ['orders', 'events'])).secret);
      other = machine((await made('Another works', ['orders'])).secret);
    });
    const hand = async (number: string, asked: object = order) =>
      planning.ask('put', `/work-orders/${number}`, asked);
    const stateOf = async (number: string) =>
      workOrderView.parse((await planning.ask('get', `/work-orders/${number}`)).body);

    it('wait under their number, once, and are changed as long as they do', async () => {
      expect((await hand('WO-1')).status).toBe(200);
      expect((await hand('WO-1')).body).toMatchObject({
        state: 'waiting',
        from: 'Works planning',
        job: null,
      });
      expect((await hand('WO-1', { ...order, due: '2026-12-10' })).body.asked.due).toBe('2026-12-10');
      const waiting = (await ada.get('/api/work-orders')).body.orders;
      expect(waiting.map(({ number }: { number: string }) => number)).toEqual(['WO-1']);
      // The tag as their system writes it means the valve as the shop does.
      expect(waiting[0].valves).toMatchObject([{ id: shop.valve, tag: 'T-1' }]);
    });
    it('are their sender’s alone', async () => {
      expect((await other.ask('get', '/work-orders/WO-1')).status).toBe(404);
      expect((await other.ask('delete', '/work-orders/WO-1')).status).toBe(404);
      expect((await other.ask('put', '/work-orders/WO-1', order)).status).toBe(409);
    });
    it.each([
      ['WO-2', { tag: '', reported: 'x' }],
      ['WO-2', { ...order, due: 'soon' }],
      ['WO-2', { ...order, price: 4 }],
      ['%20', order],
      [encodeURIComponent('<b>'), order],
    ])('%s %j is refused in words', async (number, asked) => {
      const answer = await hand(number, asked);
      expect([answer.status, answer.body.problem.code]).toEqual([400, 'request.invalid']);
    });
    it('the job that is opened for one takes it, with whoever received the valve', async () => {
      const opening = {
        commandId: randomUUID(),
        valve: { id: shop.valve },
        place: 'bare',
        reported: order.reported,
      };
      const opened = await ada.post('/api/jobs', { ...opening, order: 'WO-1' });
      expect(opened.status).toBe(201);
      expect((await ada.post('/api/jobs', { ...opening, order: 'WO-1' })).body).toEqual(opened.body);
      expect(await stateOf('WO-1')).toMatchObject({ state: 'taken', job: opened.body.id });
      expect((await hand('WO-1', { ...order, reported: 'other' })).body.problem.code).toBe('order.settled');
      expect((await planning.ask('delete', '/work-orders/WO-1')).status).toBe(409);
      expect((await ada.get('/api/work-orders')).body.orders).toEqual([]);
    });
    it('one that is taken already opens no second job', async () => {
      const answer = await ada.post('/api/jobs', {
        ...{ commandId: randomUUID(), place: 'bare', reported: 'twice', order: 'WO-1' },
        valve: { new: { ...defaultValve(), tag: 'T-9' } },
      });
      expect([answer.status, answer.body.problem.code]).toEqual([409, 'order.settled']);
      expect((await ada.get('/api/valves?q=T-9')).body.valves).toEqual([]);
    });
    it('are refused with why, and withdrawn', async () => {
      await hand('WO-3', { tag: 'X-1', reported: 'not ours' });
      expect((await ada.post('/api/work-orders/WO-3/refuse', { why: '' })).status).toBe(400);
      expect((await ada.post('/api/work-orders/WO-3/refuse', { why: 'no such valve here' })).status).toBe(
        200,
      );
      expect(await stateOf('WO-3')).toMatchObject({ state: 'refused', why: 'no such valve here' });
      await hand('WO-4', { tag: 'X-2', reported: 'later' });
      expect((await planning.ask('delete', '/work-orders/WO-4')).body.state).toBe('withdrawn');
      expect((await hand('WO-4', { tag: 'X-2', reported: 'now' })).body.state).toBe('waiting');
    });
    it('what became of them is read on from the last number, in its order', async () => {
      const first = eventsView.parse((await planning.ask('get', '/events')).body);
      const what = first.events.map(({ kind, order: its }) => `${kind} ${its}`);
      // One clock for all of them here: what happened at one moment has no order.
      expect(what.toSorted()).toEqual(['job opened WO-1', 'order refused WO-3', 'order taken WO-1']);
      expect(first.events.map(({ seq }) => seq)).toEqual([1, 2, 3]);
      expect(
        eventsView.parse((await planning.ask('get', `/events?after=${first.last}`)).body).events,
      ).toEqual([]);
      expect((await other.ask('get', '/events')).status).toBe(403);
      expect((await ada.get('/api/events')).status).toBe(403);
    });
  });

  describe('what is told', () => {
    const tell = () => tellWhatIsDue(shop.sequelize, [host], now);
    const something = async (number: string) => {
      const planning = machine((await made(`Sender ${number}`, ['orders'])).secret);
      await planning.ask('put', `/work-orders/${number}`, { tag: 'X', reported: 'x' });
      await ada.post(`/api/work-orders/${number}/refuse`, { why: 'no' });
    };
    let secret: string;
    let hook: string;
    const calls = async () => hooksView.parse((await lea.get('/api/setup/machines/hooks')).body).calls;

    it('goes to hosts that whoever runs the server has named, and to no others', async () => {
      const kinds = ['order refused'];
      const add = (address: string) => lea.post('/api/setup/machines/hooks', { address, kinds });
      for (const address of [
        'http://169.254.169.254/',
        'http://127.0.0.1:1/',
        `http://a:b@${host}/`,
        `http://evil.test/?${host}`,
      ])
        expect([address, (await add(address)).body.problem.code]).toEqual([address, 'hook.host']);
      expect((await add('ftp://x/')).status).toBe(400);
      const added = newHookView.parse((await add(`http://${host}/told`)).body);
      [secret, hook] = [added.secret, added.hook.id];
      expect((await lea.get('/api/setup/machines/hooks')).text).not.toContain(secret);
      expect((await ada.get('/api/setup/machines/hooks')).status).toBe(403);
    });
    it('is signed, so that whoever gets it knows whose it is', async () => {
      await something('WO-10');
      expect(await tell()).toBe(1);
      const [call] = heard;
      const id = String(call?.headers['webhook-id']);
      const content = `${id}.${String(call?.headers['webhook-timestamp'])}.${call?.body}`;
      const expected = createHmac('sha256', Buffer.from(secret, 'base64')).update(content).digest('base64');
      expect(call?.headers['webhook-signature']).toBe(`v1,${expected}`);
      expect(JSON.parse(call?.body ?? '')).toMatchObject({ id, kind: 'order refused', order: 'WO-10' });
      expect((await calls())[0]).toMatchObject({ state: 'told', tries: 1, said: null });
    });
    it('is tried again, longer and longer, the same each time, until it is taken', async () => {
      heard.length = 0;
      answers = [500, 302, 200];
      await something('WO-11');
      expect(await tell()).toBe(1);
      expect((await calls())[0]).toMatchObject({ state: 'waiting', tries: 1, said: 'it answered 500' });
      expect(await tell()).toBe(0);
      clock += pauseAfter(1);
      expect(await tell()).toBe(1);
      // A redirect is not followed: it may lead anywhere.
      expect((await calls())[0]).toMatchObject({ state: 'waiting', tries: 2, said: 'it answered 302' });
      clock += pauseAfter(2);
      expect(await tell()).toBe(1);
      expect((await calls())[0]).toMatchObject({ state: 'told', tries: 3 });
      expect(new Set(heard.map(({ headers }) => headers['webhook-id'])).size).toBe(1);
      expect(heard).toHaveLength(3);
      clock += pauseAfter(5);
      expect(await tell()).toBe(0);
    });
    it('by two servers at once is told once', async () => {
      heard.length = 0;
      await Promise.all([something('WO-12'), something('WO-13'), something('WO-14')]);
      const told = await Promise.all([tell(), tell(), tell()]);
      expect(told.reduce((sum, count) => sum + count, 0)).toBe(3);
      expect(heard.map(({ body }) => JSON.parse(body).order).toSorted()).toEqual(['WO-12', 'WO-13', 'WO-14']);
    });
    it('is given up after a day and a half, and when its address is turned off', async () => {
      const day = 24 * 60 * 60 * 1000;
      const inAll = Array.from({ length: MOST_TRIES - 1 }, (_, i) => pauseAfter(i + 1)).reduce(
        (a, b) => a + b,
      );
      expect(inAll / day).toBeGreaterThan(1.25);
      expect(inAll / day).toBeLessThan(1.75);
      answers = [503, 503];
      await something('WO-15');
      await tell();
      await CallRow.update({ tries: MOST_TRIES - 1 }, { where: { state: 'waiting' } });
      clock += pauseAfter(1);
      await tell();
      expect((await calls())[0]).toMatchObject({ state: 'given up', said: 'it answered 503' });
      answers = [503];
      await something('WO-16');
      await tell();
      expect((await lea.post(`/api/setup/machines/hooks/${hook}/change`, { on: false })).status).toBe(204);
      expect((await calls())[0]).toMatchObject({ state: 'given up', said: 'turned off by a lead' });
      await something('WO-17');
      expect(await tell()).toBe(0);
    });
    it('is signed with another secret once a lead has made one', async () => {
      await lea.post(`/api/setup/machines/hooks/${hook}/change`, { on: true });
      const other = newHookView.parse((await lea.post(`/api/setup/machines/hooks/${hook}/secret`, {})).body);
      expect(other.secret).not.toBe(secret);
      heard.length = 0;
      await something('WO-18');
      await tell();
      const [call] = heard;
      const content = `${String(call?.headers['webhook-id'])}.${String(call?.headers['webhook-timestamp'])}.${call?.body}`;
      const expected = createHmac('sha256', Buffer.from(other.secret, 'base64'))
        .update(content)
        .digest('base64');
      expect(call?.headers['webhook-signature']).toBe(`v1,${expected}`);
    });
    it('is let go of long after, and the numbers go on', async () => {
      const day = 24 * 60 * 60 * 1000;
      const numbers = async () => (await HappeningRow.findAll({ order: ['seq'] })).map(({ seq }) => seq);
      const before = await numbers();
      const later = (days: number) => pruneTold(new Date(clock + days * day));
      await later(80);
      expect(await numbers()).toEqual(before);
      expect(await CallRow.count()).toBeGreaterThan(5);
      await later(100);
      expect(await CallRow.count()).toBe(0);
      expect(await numbers()).toEqual(before);
      answers = [503];
      await something('WO-19');
      await tell();
      await later(500);
      // What still waits to be told stays.
      const left = await numbers();
      expect(left).toHaveLength(1);
      expect(left[0]).toBe(Number(before.at(-1)) + 1);
      await something('WO-20');
      await tell();
      expect(await numbers()).toEqual([left[0], Number(left[0]) + 1]);
    });
  });
});
