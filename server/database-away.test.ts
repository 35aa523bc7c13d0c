import { jobView } from '@dusk-wren/contract';
import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dataHome, privateDatabase, type PrivateDatabase } from '../scripts/machine/database.mjs';
import { checkLogs } from './keeping/check-logs';
import { note, openShop, Screen, type Shop } from './testing/shop';

/** A database of this test's own, to be killed. */
let database: PrivateDatabase;
let shop: Shop;
let ada: Screen;
let job: string;
/** All of it lies in one file that does not grow for ever: a disk that can be filled. */
const start = (port?: number, room = '64M') =>
  privateDatabase({
    ...{ name: 'away', databases: [], mayCreate: true },
    options: ['--innodb-file-per-table=0', `--innodb-data-file-path=ibdata1:12M:autoextend:max:${room}`],
    ...(port === undefined ? {} : { port }),
  });
/** A slow machine answers within it; who is stopped does not. */
const SILENCE = '4';

beforeAll(async () => {
  // What an earlier run filled does not fit into less room.
  rmSync(join(dataHome('away'), 'mariadb'), { recursive: true, force: true });
  database = await start();
  shop = await openShop({ DATABASE_SILENCE: SILENCE }, database.url('mysql'));
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

describe('a database that can be read alone', () => {
  /** Sent until it is answered by connections that know how things stand now. */
  async function refused(
    commandId: ReturnType<typeof randomUUID>,
  ): Promise<Awaited<ReturnType<typeof ada.command>>> {
    const base = await version();
    for (;;) {
      const answer = await ada.command(job, base, note('not stored'), commandId);
      if (answer.body.problem?.code !== 'database.away') return answer;
    }
  }

  it('whose disk is full says so, is read as before, and takes the same command once there is room', async () => {
    const admin = await createConnection(shop.databaseUrl);
    admin.on('error', () => undefined);
    await admin.query('CREATE TABLE filler (b LONGBLOB)');
    const filling = async () => {
      for (const size of [1e6, 1e5, 1e4, 1e3])
        for (let full = false; !full;)
          full = await admin.query('INSERT INTO filler VALUES (?)', [Buffer.alloc(size, 1)]).then(
            () => false,
            () => true,
          );
    };
    await filling();
    const [base, commandId] = [await version(), randomUUID()];
    // What little room a row finds is used up as well.
    let answer = await ada.command(job, base, note('x'.repeat(300)), commandId);
    for (let more = 1; answer.status === 200; more++)
      answer = await ada.command(job, base + more, note('x'.repeat(300)), randomUUID());
    expect(answer.status).toBe(503);
    expect(answer.body.problem).toEqual({ code: 'database.unwritable', why: 'full' });
    expect(answer.body.text).toMatch(/disk is full: what is stored is safe and can be read/);
    expect(answer.headers['retry-after']).toBe('2');
    expect((await ada.get(`/api/jobs/${job}`)).status).toBe(200);
    await admin.end();
    await database.stop();
    database = await start(database.port, '128M');
    const before = await version();
    const again = randomUUID();
    expect((await ada.command(job, before, note('there is room'), again)).status).toBe(200);
    expect((await ada.command(job, before, note('there is room'), again)).status).toBe(200);
    expect(await version()).toBe(before + 1);
  }, 120_000);

  it('that is set so says that it is', async () => {
    const admin = await createConnection(shop.databaseUrl);
    const anew = async () => {
      const rows = await admin.query<{ id: number }[]>(
        'SELECT id FROM information_schema.processlist WHERE id <> CONNECTION_ID()',
      );
      for (const { id } of rows) await admin.query(`KILL ${id}`).catch(() => undefined);
    };
    await admin.query('SET GLOBAL tx_read_only = 1');
    await anew();
    const commandId = randomUUID();
    const answer = await refused(commandId);
    expect(answer.body.problem).toEqual({ code: 'database.unwritable', why: 'read only' });
    expect((await ada.get(`/api/jobs/${job}`)).status).toBe(200);
    await admin.query('SET GLOBAL tx_read_only = 0');
    await anew();
    const base = await version();
    await expect
      .poll(async () => (await ada.command(job, base, note('stored'), commandId)).status, { timeout: 20_000 })
      .toBe(200);
    expect(await version()).toBe(base + 1);
    await admin.end();
  }, 120_000);
});

describe('a database that says nothing', () => {
  it('is taken for gone after a while, and the same command is stored once when it speaks again', async () => {
    const base = await version();
    const commandId = randomUUID();
    const pid = Number(readFileSync(join(database.home, 'mariadb/mariadb.pid'), 'utf8'));
    process.kill(pid, 'SIGSTOP');
    const answers = await Promise.all(
      [1, 2, 3].map(() => ada.command(job, base, note('into the silence'), commandId)),
    ).finally(() => process.kill(pid, 'SIGCONT'));
    expect(answers.map(({ status }) => status)).toEqual([503, 503, 503]);
    await expect
      .poll(async () => (await ada.command(job, base, note('into the silence'), commandId)).status, {
        timeout: 20_000,
      })
      .toBe(200);
    expect(await version()).toBe(base + 1);
  }, 120_000);
});

describe('a clock that jumps', () => {
  it('back by a day and on by a year: entries stay in the order they came, and what was not in calibration then counts later', async () => {
    let now = new Date();
    const there = await openShop({}, undefined, () => now);
    const screen = await Screen.open(there, 'ada');
    const id = await screen.openJob(there);
    const days = (count: number) => new Date(now.getTime() + count * 86_400_000);
    const [today, yesterday, inAYear] = [now, days(-1), days(365)];
    const write = async (at: Date, base: number) => {
      now = at;
      return (await screen.command(id, base, note(at.toISOString()))).status;
    };
    expect([
      await write(today, 2),
      await write(yesterday, 3),
      await write(inAYear, 4),
      await write(today, 5),
    ]).toEqual([200, 200, 200, 200]);
    const { entries } = jobView.parse((await screen.get(`/api/jobs/${id}`)).body);
    expect(entries.slice(2).map(({ body }) => ('text' in body ? body.text : ''))).toEqual(
      [today, yesterday, inAYear, today].map((at) => at.toISOString()),
    );
    expect((await checkLogs()).faults).toEqual([]);
    const dials = async (at: Date) => {
      now = at;
      const { instruments } = (await screen.get('/api/instruments')).body;
      return instruments.find((each: { id: string }) => each.id === there.dial).inCalibration;
    };
    expect([await dials(inAYear), await dials(today)]).toEqual([false, true]);
    there.app.clock.look();
    now = inAYear;
    there.app.clock.look();
    const { clockJump } = (await screen.get('/readyz')).body;
    expect(clockJump.bySeconds).toBeGreaterThan(360 * 86_400);
    await there.close();
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
