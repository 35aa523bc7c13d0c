import { jobView } from '@dusk-wren/contract';
import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { privateDatabase, type PrivateDatabase } from '../scripts/machine/database.mjs';
import { note, openShop, Screen, type Shop } from './testing/shop';

/** A database of this test's own, to be killed. */
let database: PrivateDatabase;
let shop: Shop;
let ada: Screen;
let job: string;
const start = (port?: number) =>
  privateDatabase({ name: 'away', databases: [], mayCreate: true, ...(port === undefined ? {} : { port }) });

beforeAll(async () => {
  database = await start();
  shop = await openShop({}, database.url('mysql'));
  ada = await Screen.open(shop, 'ada');
  job = await ada.openJob(shop);
}, 60_000);
afterAll(async () => {
  await shop.close();
  await database.stop();
});

const version = async () => jobView.parse((await ada.get(`/api/jobs/${job}`)).body).version;

describe('a database that is killed under the server', () => {
  it('answers 503 meanwhile, to writes, reads and sign-ins, and takes the same command once when it is back', async () => {
    const base = await version();
    const commandId = randomUUID();
    await database.stop('SIGKILL');
    const answer = await ada.command(job, base, note('while it was away'), commandId);
    expect(answer.status).toBe(503);
    expect(answer.body.problem.code).toBe('database.away');
    expect(answer.body.text).toMatch(/database does not answer at the moment/);
    expect(answer.headers['retry-after']).toBe('2');
    for (const path of ['/api/jobs', `/api/jobs/${job}`, '/api/people', '/readyz'])
      expect((await ada.get(path)).status, path).toBe(503);
    expect((await ada.get('/healthz')).status).toBe(200);
    database = await start(database.port);
    expect((await ada.command(job, base, note('while it was away'), commandId)).status).toBe(200);
    expect((await ada.command(job, base, note('while it was away'), commandId)).status).toBe(200);
    expect(await version()).toBe(base + 1);
  }, 60_000);

  it('killed in the middle of answering, loses nothing acknowledged and doubles nothing retried', async () => {
    for (const patience of [0, 1, 3, 6]) {
      const base = await version();
      const commandId = randomUUID();
      const sent = ada.command(job, base, note(`killed after ${patience} ms`), commandId);
      await new Promise((done) => setTimeout(done, patience));
      await database.stop('SIGKILL');
      const { status } = await sent;
      expect([200, 503], `after ${patience} ms`).toContain(status);
      database = await start(database.port);
      if (status === 200) expect(await version(), `after ${patience} ms`).toBe(base + 1);
      expect((await ada.command(job, base, note('again'), commandId)).status).toBe(200);
      expect(await version(), `after ${patience} ms`).toBe(base + 1);
    }
  }, 120_000);
});

describe('a database that is slow', () => {
  it('with the job locked by somebody else answers 503, and the command is taken later', async () => {
    await shop.sequelize.query('SET GLOBAL innodb_lock_wait_timeout = 1');
    const other = await createConnection(shop.databaseUrl);
    await other.query('START TRANSACTION');
    await other.query('SELECT * FROM jobs WHERE id = ? FOR UPDATE', [job]);
    await shop.sequelize.query('SET SESSION innodb_lock_wait_timeout = 1');
    const base = await version();
    const commandId = randomUUID();
    const answers = await Promise.all(
      Array.from({ length: 3 }, () => ada.command(job, base, note('behind a lock'), commandId)),
    );
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([503]));
    await other.query('ROLLBACK');
    await other.end();
    expect((await ada.command(job, base, note('behind a lock'), commandId)).status).toBe(200);
    expect(await version()).toBe(base + 1);
  }, 60_000);

  it('is not asked more, the slower it is: one look of the live feed at a time', async () => {
    const { feed } = shop.app;
    const original = shop.sequelize.query.bind(shop.sequelize);
    let [underWay, most, looks] = [0, 0, 0];
    shop.sequelize.query = (async (...given: Parameters<typeof original>) => {
      if (!JSON.stringify(given[0]).includes('FROM `jobs`')) return original(...given);
      looks++;
      most = Math.max(most, ++underWay);
      await new Promise((done) => setTimeout(done, 900));
      underWay--;
      return original(...given);
    }) as typeof shop.sequelize.query;
    const stop = feed.listen(jobView.shape.id.parse(job), () => undefined);
    await expect.poll(() => looks, { timeout: 10_000 }).toBeGreaterThanOrEqual(2);
    stop();
    shop.sequelize.query = original;
    expect(most).toBe(1);
  });
});

describe('root of the database', () => {
  it('has no way in without its password, under any of this machine’s names', async () => {
    for (const host of ['127.0.0.1', 'localhost']) {
      const tried = createConnection({ host, port: database.port, user: 'root', password: '' });
      await expect(tried, host).rejects.toThrow(/denied|not allowed/i);
    }
  });
});
