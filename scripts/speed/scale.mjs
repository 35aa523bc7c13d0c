import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { builtServer } from '../machine/built-server.mjs';
import { dataHome, privateDatabase } from '../machine/database.mjs';
import { run } from '../machine/run.mjs';
import { note, root, step } from '../machine/say.mjs';
import { livesOfJobs, manyEntries, manyJobs, manyValves } from './copies.mjs';
import { manyLives } from './lives.mjs';
import { OPENED, pagesShown } from './pages-shown.mjs';
import { signedIn } from './signed-in.mjs';
import { median, p95, timedInTurns, timeTaken } from './timing.mjs';

const DATABASE = 'dusk_wren_bench';
const [FEW, MANY] = [1000, 100_000];
const ENTRIES_EACH = 100;
/** What a shop has on its benches does not grow with its years. */
const OPEN = 200;
const TIMES_MORE = 1.5;
/** Fewer, and it is the scheduler of a shared machine that is compared. */
const SAMPLES = 80;
/** As many pages wait to be written in any shop at work. */
const PAGES_OF_WORK = 500;
const LIST_LIMIT_MS = 100;
const PAGE_LIMIT_MS = 1000;

/** Lists and searches: what they cost must not grow with what the shop has. */
const LISTS = [
  ['Jobs on benches', '/jobs?limit=50&state=open'],
  ['Jobs that wait for me', '/jobs?limit=50&state=open&waits=me'],
  ['Jobs found by a word', '/jobs?limit=50&state=all&q=boiler'],
  ['Jobs found by words that none has', '/jobs?limit=50&state=all&q=no such valve'],
  ['Valves by their tags', '/register?limit=48'],
  ['Valves by a word that a third has', '/register?limit=48&q=refinery'],
  ['Valves by two words half typed', '/register?limit=48&q=pump har'],
  ['Valves by the beginning of a tag', '/register?limit=48&q=hv2'],
  ['Valves by a whole tag', '/register?limit=48&q=HV-2214-500'],
  ['Valves of a kind, by a word', '/register?limit=48&q=steam&construction=globe-bolted'],
  ['Due within a month', '/due?by=2026-12-28&limit=50'],
  ['Open orders', '/store/orders'],
  ['A job with its log', 'a job'],
];

/** What a page asks for at once. */
const PAGES = [
  ['The floor', ['/jobs?limit=50&state=open', '/work-orders', '/week/mine']],
  ['The register', ['/register?limit=48']],
  ['The store', ['/store/stock?limit=50', '/store/orders', '/store/units', '/store/spares']],
  ['Due', ['/due?by=2027-11-28']],
  ['The fleet', ['/fleet?months=96&rate=60', '/fleet/jobs?months=96&cause=seat worn']],
];

/** What a shop of a few weeks asks for, and the same in one of decades: both stand at once, and are asked in turns. */
export async function scale(report) {
  const shops = [];
  try {
    shops.push(await shopOf(FEW, 'bench-young'), await shopOf(MANY, 'bench'));
    table(await timesOf(shops), report);
  } finally {
    for (const { stop } of shops) await stop();
  }
}

function table([few, many], report) {
  process.stdout.write(
    `  ${'p95, ms'.padEnd(40)}${FEW.toLocaleString('en').padStart(10)}${MANY.toLocaleString('en').padStart(10)}\n`,
  );
  for (const [what, before] of few)
    process.stdout.write(
      `  ${what.padEnd(40)}${before.toFixed(1).padStart(10)}${many.get(what).toFixed(1).padStart(10)}\n`,
    );
  for (const [what] of LISTS) {
    const name = `${what}, of ${MANY.toLocaleString('en')}`;
    // Below a few milliseconds the scheduler is what is measured; by their middle ones, for so it is by the outer ones.
    const limit = Math.max(10, TIMES_MORE * few.get(middle(what)));
    report(`${name}, the middle one`, many.get(middle(what)), limit, 'ms');
    report(name, many.get(what), LIST_LIMIT_MS, 'ms');
  }
  for (const [what] of PAGES) report(`${what}, all that it asks for`, many.get(what), PAGE_LIMIT_MS, 'ms');
  for (const what of OPENED) report(what, many.get(what), PAGE_LIMIT_MS, 'ms');
}

/** A shop with so many jobs, valves and signed jobs, and a hundred entries to each job, at rest; in a private database of that name. */
async function shopOf(count, home) {
  for (const name of ['mariadb', 'secrets.json'])
    rmSync(join(dataHome(home), name), { recursive: true, force: true });
  const database = await privateDatabase({
    name: home,
    databases: [DATABASE],
    // To have it write what was made before it is asked anything.
    mayCreate: true,
    // What the guide asks for at this size; the data is made, so that losing it is no loss.
    options: [
      '--innodb-buffer-pool-size=1G',
      '--innodb-log-file-size=512M',
      '--innodb-flush-log-at-trx-commit=0',
      '--innodb-doublewrite=0',
    ],
  });
  const url = database.url(DATABASE);
  const env = {
    ...process.env,
    DATABASE_URL: url,
    SESSION_SECRET: database.secrets.session,
    WEB_ROOT: join(root, 'web/dist'),
    LOG_LEVEL: 'error',
  };
  try {
    await run('node', [join(root, 'server/dist/prepare.mjs'), '--demo'], { env, quiet: true });
    await step(`Making ${count.toLocaleString('en')} jobs and valves`, async () => {
      await manyValves(url, count);
      await manyJobs(url, count, OPEN);
      await livesOfJobs(url);
      await manyLives(url, count);
    });
    await step(`Making ${(count * ENTRIES_EACH).toLocaleString('en')} entries`, () =>
      manyEntries(url, ENTRIES_EACH),
    );
    await written(url);
    const server = await builtServer(env);
    await calm(server.pid);
    return { url: server.url, stop: () => server.stop().then(() => database.stop()) };
  } catch (problem) {
    await database.stop();
    throw problem;
  }
}

/** Once what was made lies on the disk: until then the database writes it, and answers beside that. */
async function written(url) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  try {
    const dirty = async () => {
      const [row] = await connection.query("SHOW GLOBAL STATUS LIKE 'Innodb_buffer_pool_pages_dirty'");
      return Number(row.Value);
    };
    await connection.query(
      'SET GLOBAL innodb_max_dirty_pages_pct_lwm = 0.001, GLOBAL innodb_max_dirty_pages_pct = 0',
    );
    while ((await dirty()) > PAGES_OF_WORK) await new Promise((done) => setTimeout(done, 1000));
    await connection.query(
      'SET GLOBAL innodb_max_dirty_pages_pct = DEFAULT, GLOBAL innodb_max_dirty_pages_pct_lwm = DEFAULT',
    );
  } finally {
    await connection.end();
  }
}

/** Once a server that has just begun has looked through what it finds: less than a tenth of a core for some seconds. */
async function calm(pid) {
  const ticks = () => {
    const [user, system] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ').slice(11, 13);
    return Number(user) + Number(system);
  };
  for (let before = ticks(), quiet = 0; quiet < 3;) {
    await new Promise((done) => setTimeout(done, 2000));
    const now = ticks();
    quiet = now - before < 20 ? quiet + 1 : 0;
    before = now;
  }
}

const middle = (what) => `${what}, middle`;

/** Of each of the shops, all of their times by what was asked. */
async function timesOf(shops) {
  const taken = timeTaken();
  const asking = [];
  for (const { url } of shops) {
    const shop = await signedIn(`${url}/api`);
    const { jobs } = await shop.call('/jobs?limit=1&state=all&q=boiler');
    asking.push((path) => shop.call(path === 'a job' ? `/jobs/${jobs[0].id}` : path));
  }
  const times = shops.map(() => new Map());
  const inTurns = (rounds, paths, warmUp) =>
    timedInTurns(
      rounds,
      asking.map((ask) => () => Promise.all(paths.map(ask))),
      warmUp,
    );
  for (const [what, path] of LISTS)
    for (const [i, took] of (await inTurns(SAMPLES, [path], 10)).entries())
      times[i].set(what, p95(took)).set(middle(what), median(took));
  for (const [what, paths] of PAGES)
    for (const [i, took] of (await inTurns(10, paths, 3)).entries()) times[i].set(what, p95(took));
  for (const [i, { url }] of shops.entries())
    for (const [what, took] of await pagesShown(url)) times[i].set(what, took);
  note(`${(100 * taken()).toFixed(0)} % of this machine's time was taken by others while they were asked`);
  return times;
}
