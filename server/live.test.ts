import { comparedView, liveMessage, readingMessage } from '@dusk-wren/contract';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { EventRow, JobRow, PersonRow } from './database/models';
import { filledIn } from './demo/device';
import { BenchDevice, MAP } from './stand-ins/bench-device';
import { serveRegisters } from './stand-ins/modbus-server';
import { note, openShop, Screen, stripToRunout, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
let server: Server;
let origin: string;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  server = createServer(shop.app.express);
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((closed) => server.close(closed));
  await shop.close();
});

async function freshJob(): Promise<string> {
  await JobRow.update({ openValveId: null }, { where: {} });
  return ada.openJob(shop);
}

/** An event stream that the server has opened: it listens already. */
async function opened(path: string, headers: Record<string, string> = {}) {
  const stop = new AbortController();
  const answer = await fetch(`${origin}${path}`, {
    signal: stop.signal,
    headers: { cookie: ada.cookie, ...headers },
  });
  expect(answer.headers.get('content-type')).toContain('text/event-stream');
  /** Its messages until enough have come. */
  const until = async (enough: (messages: unknown[]) => boolean): Promise<unknown[]> => {
    const messages: unknown[] = [];
    let text = '';
    for await (const chunk of answer.body ?? []) {
      text += Buffer.from(chunk).toString('utf8');
      const parts = text.split('\n\n');
      text = parts.pop() ?? '';
      for (const part of parts) {
        const data = /^data: (.*)$/m.exec(part)?.[1];
        if (data !== undefined) messages.push(JSON.parse(data));
      }
      if (enough(messages)) break;
    }
    stop.abort();
    return messages;
  };
  return { until };
}

async function listen(
  path: string,
  enough: (messages: unknown[]) => boolean,
  headers: Record<string, string> = {},
): Promise<unknown[]> {
  return (await opened(path, headers)).until(enough);
}

const entriesIn = (messages: unknown[]) => messages.flatMap((each) => liveMessage.parse(each).entries);

describe('the live feed of a job', () => {
  it('begins with what was missed and goes on with what is committed', async () => {
    const job = await freshJob();
    const stream = await opened(`/api/jobs/${job}/live?after=1`);
    await ada.command(job, 2, note('one'));
    await ada.command(job, 3, note('two'));
    const heard = await stream.until((messages) => entriesIn(messages).length >= 3);
    expect(entriesIn(heard).map(({ seq }) => seq)).toEqual([2, 3, 4]);
  });
  it('resumes after the last event the browser saw', async () => {
    const job = await freshJob();
    await ada.command(job, 2, note('one'));
    const heard = await listen(`/api/jobs/${job}/live?after=0`, (messages) => messages.length > 0, {
      'last-event-id': '2',
    });
    expect(entriesIn(heard).map(({ seq }) => seq)).toEqual([3]);
  });
  it('hands on what this process commits without reading it again', async () => {
    const job = await freshJob();
    await ada.command(job, 2, note('its state is known here from now on'));
    const stream = await opened(`/api/jobs/${job}/live?after=3`);
    const read = vi.spyOn(EventRow, 'findAll');
    await ada.command(job, 3, note('handed on'));
    const heard = await stream.until((messages) => entriesIn(messages).length >= 1);
    expect(entriesIn(heard)).toMatchObject([{ body: { text: 'handed on' } }]);
    // The hash that an entry follows from is asked for; no entry is.
    const entries = read.mock.calls.filter(
      ([query]) => query?.attributes === undefined && JSON.stringify(query?.where ?? {}).includes(job),
    );
    expect(entries).toEqual([]);
    read.mockRestore();
  });
  it('tells of what another server process committed', async () => {
    const job = await freshJob();
    const stream = await opened(`/api/jobs/${job}/live?after=2`);
    const grown = shop.app.feed.grown.bind(shop.app.feed);
    shop.app.feed.grown = () => undefined;
    await ada.command(job, 2, note('from elsewhere'));
    shop.app.feed.grown = grown;
    const heard = await stream.until((messages) => entriesIn(messages).length >= 1);
    expect(entriesIn(heard)).toMatchObject([{ kind: 'note-added', body: { text: 'from elsewhere' } }]);
  });
});

describe('a stream that is open', () => {
  const open = async (screen: Screen, job: string) =>
    fetch(`${origin}/api/jobs/${job}/live?after=2`, { headers: { cookie: screen.cookie } });
  const ended = async (answer: globalThis.Response) => {
    for await (const _chunk of answer.body ?? []);
    return true;
  };
  it('ends when its person signs out', async () => {
    const job = await freshJob();
    const bo = await Screen.open(shop, 'bo');
    const stream = await open(bo, job);
    await bo.agent.delete('/api/session').set(bo.headers());
    expect(await ended(stream)).toBe(true);
  }, 20_000);
  it('ends when its person is removed, and another’s goes on', async () => {
    const job = await freshJob();
    const [ivo, lea] = [await Screen.open(shop, 'ivo'), await Screen.open(shop, 'lea')];
    const [gone, stays] = [await open(ivo, job), await open(lea, job)];
    const row = await PersonRow.findByPk(shop.people.ivo, { raw: true });
    await PersonRow.destroy({ where: { id: shop.people.ivo } });
    expect(await ended(gone)).toBe(true);
    if (row) await PersonRow.create(row);
    await ada.command(job, 2, note('still heard'));
    const reader = stays.body?.getReader();
    let heard = '';
    while (!heard.includes('still heard'))
      heard += Buffer.from((await reader?.read())?.value ?? []).toString();
    await reader?.cancel();
  }, 20_000);
  it('is one of twenty of a person: the next is asked to come again', async () => {
    const job = await freshJob();
    const bo = await Screen.open(shop, 'bo');
    const streams = await Promise.all(Array.from({ length: 20 }, () => open(bo, job)));
    expect(streams.every(({ status }) => status === 200)).toBe(true);
    expect((await open(bo, job)).status).toBe(429);
    expect((await open(ada, job)).status).toBe(200);
    for (const each of streams) await each.body?.cancel();
  }, 20_000);
});

describe('the simulated instruments', () => {
  it('a dial goes round the stem for as long as somebody listens', async () => {
    const job = await freshJob();
    await stripToRunout(ada, job);
    const heard = await listen(
      `/api/instruments/${shop.dial}/readings?job=${job}&step=inspect.runout`,
      (messages) => messages.length >= 73,
    );
    const readings = heard.flatMap((each) => {
      const read = readingMessage.safeParse(each);
      return read.success && read.data.kind === 'dial' ? [read.data] : [];
    });
    expect(readings.length).toBeGreaterThanOrEqual(12);
    expect(readings.every(({ thou }) => Math.abs(thou) < 20)).toBe(true);
    const turned = readings.map(({ degrees }) => degrees);
    expect(Math.max(...turned) - Math.min(...turned)).toBeGreaterThan(300);
  });
  it.each([
    ['an unknown instrument', () => `/api/instruments/${randomUUID()}/readings`],
    ['a step that is not on the plan', () => `/api/instruments/${shop.dial}/readings`],
  ])('%s is refused before anything is streamed', async (_name, path) => {
    const job = await freshJob();
    const answer = await ada.get(`${path()}?job=${job}&step=nowhere`);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    expect(answer.body.text).toMatch(/\w/);
  });
});

describe('a driver that is tried', () => {
  // On the network nobody is there: that is said, and is a message like any other.
  const DRIVERS = [
    ...['dial', 'wrench', 'rig', 'gauge', 'gauge set'].map((kind) => `simulated ${kind}`),
    ...['rig', 'gauge', 'gauge set', 'thermometer'].map((kind) => `Modbus ${kind}`),
    ...['caliper', 'dial indicator', 'torque wrench', 'thermometer'].map((kind) => `lines of a ${kind}`),
  ];
  it('every one there is reads with nothing on it, for a lead', async () => {
    const lea = await Screen.open(shop, 'lea');
    const { drivers } = (await lea.get('/api/setup/instruments')).body;
    expect(drivers.map(({ driver }: { driver: string }) => driver).sort()).toEqual([...DRIVERS].sort());
    for (const driver of DRIVERS) {
      // Nothing is asked of a gauge that has taught nothing yet.
      const taught = driver.startsWith('lines of') ? '?example=12.5&shows=12.5' : '';
      const path = `/api/setup/drivers/${encodeURIComponent(driver)}/trial${taught}`;
      const heard = await listen(path, (messages) => messages.length >= 1, { cookie: lea.cookie });
      for (const message of heard) expect(readingMessage.safeParse(message).success, driver).toBe(true);
    }
  });
  it.each([
    ['set to more than it takes', 'simulated gauge', 'a%20second=900', 400],
    ['set by a name that it does not know', 'simulated rig', 'speed=1', 400],
    ['set to no number', 'simulated gauge', 'a%20second=fast', 400],
    ['that there is not', 'psychic', '', 404],
  ])('one %s is refused in words', async (_name, driver, query, status) => {
    const lea = await Screen.open(shop, 'lea');
    const answer = await lea.get(`/api/setup/drivers/${encodeURIComponent(driver)}/trial?${query}`);
    expect(answer.status).toBe(status);
    expect(answer.body.text).toMatch(/\w/);
  });
  it('is held against what its own face shows: in another unit, lost, or at a register that is not there', async () => {
    const lea = await Screen.open(shop, 'lea');
    const { port, close } = await serveRegisters(new BenchDevice(() => 0).vector);
    const compare = (settings: object, driver = 'Modbus thermometer') =>
      lea.post(`/api/setup/drivers/${encodeURIComponent(driver)}/compare`, {
        ...{ channel: 'temperature', shows: 21.4, unit: '°C' },
        settings: { ...filledIn({ temperature: MAP.temperature }), port, ...settings },
      });
    expect(comparedView.parse((await compare({})).body)).toMatchObject({ isSame: true, ways: [] });
    const wrong = comparedView.parse((await compare({ 'temperature: scale': 1 })).body);
    expect(wrong.isSame).toBe(false);
    expect(wrong.ways[0]).toMatchObject({ type: 'int16', scale: 0.1, unit: '°C' });
    const right = await compare({ 'temperature: scale': 1, ...wrong.ways[0]?.settings });
    expect(right.body.isSame).toBe(true);
    expect((await compare({ 'temperature: register': 900 })).body.text).toMatch(
      /no temperature at register 900/,
    );
    expect((await compare({ address: '8.8.8.8' })).status).toBe(400);
    expect((await compare({}, 'simulated gauge')).status).toBe(404);
    await close();
    const lost = await compare({});
    expect([lost.status, lost.body.text]).toEqual([422, expect.stringMatching(/does not answer/)]);
  });
  it('is nobody else’s to try', async () => {
    expect((await ada.get('/api/setup/drivers/simulated%20dial/trial')).status).toBe(403);
  });
  it('as its instrument is set so often it reads: a dial twice as often turns half as far between', async () => {
    const job = await freshJob();
    await stripToRunout(ada, job);
    const lea = await Screen.open(shop, 'lea');
    const between = async (often: number) => {
      const change = { settings: { 'a second': often } };
      expect((await lea.post(`/api/setup/instruments/${shop.dial}/change`, change)).status).toBe(200);
      const heard = await listen(
        `/api/instruments/${shop.dial}/readings?job=${job}&step=inspect.runout`,
        (messages) => messages.length >= 4,
      );
      const [first, second] = heard.flatMap((each) => {
        const read = readingMessage.parse(each);
        return read.kind === 'dial' ? [read.degrees] : [];
      });
      return (second ?? 0) - (first ?? 0);
    };
    expect(await between(10)).toBeCloseTo(6);
    expect(await between(20)).toBeCloseTo(3);
  });
});

describe('what is set on an instrument', () => {
  const controls = () => `/api/instruments/${shop.dial}/controls`;
  const control = { kind: 'signal', percent: 50 };
  it('is refused where nothing is read under that name, and where it is no setting', async () => {
    const reading = randomUUID();
    expect((await ada.post(controls(), { reading, control })).status).toBe(404);
    const wild = { kind: 'signal', percent: 1e9 };
    expect((await ada.post(controls(), { reading, control: wild })).status).toBe(400);
    expect((await ada.post(controls(), { control })).status).toBe(400);
  });
  it('is taken from whoever began the reading, and from nobody else', async () => {
    const job = await freshJob();
    await stripToRunout(ada, job);
    const reading = randomUUID();
    const stream = await opened(
      `/api/instruments/${shop.dial}/readings?job=${job}&step=inspect.runout&reading=${reading}`,
    );
    const bo = await Screen.open(shop, 'bo');
    expect((await bo.post(controls(), { reading, control })).status).toBe(404);
    expect((await ada.post(controls(), { reading, control })).status).toBe(204);
    await stream.until((messages) => messages.length > 0);
  });
});

describe('what is listed', () => {
  it('instruments say whether they are in calibration and whether they are simulated', async () => {
    const { instruments } = (await ada.get('/api/instruments')).body;
    expect(instruments).toMatchObject([
      { name: 'Dial 1', simulated: true, inCalibration: true },
      { name: 'Dial 2', simulated: true, inCalibration: false },
    ]);
  });
  it('jobs by state and by person', async () => {
    const job = await freshJob();
    await ada.command(job, 2, {
      kind: 'assign-person',
      body: { person: { id: shop.people.bo, name: 'bo', role: 'technician' } },
    });
    const ids = async (query: string) =>
      (await ada.get(`/api/jobs?${query}`)).body.jobs.map(({ id }: { id: string }) => id);
    expect(await ids(`person=${shop.people.bo}`)).toEqual([job]);
    expect(await ids(`person=${shop.people.lea}`)).toEqual([]);
    expect(await ids('state=released')).toEqual([]);
  });
  it('valves by the beginning of their tag, and the customers they belong to', async () => {
    expect((await ada.get('/api/valves?q=T-')).body.valves).toHaveLength(1);
    expect((await ada.get('/api/valves?q=nothing')).body.valves).toHaveLength(0);
    expect(Array.isArray((await ada.get('/api/customers')).body.customers)).toBe(true);
  });
  it('health says the process lives, readiness that the database answers', async () => {
    const bare = await Screen.open(shop);
    expect((await bare.get('/healthz')).status).toBe(200);
    expect((await bare.get('/readyz')).status).toBe(200);
  });
});
