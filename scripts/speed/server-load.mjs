import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { dataHome, privateDatabase } from '../machine/database.mjs';
import { run, start } from '../machine/run.mjs';
import { root } from '../machine/say.mjs';
import { bareCommits, p95, timed } from './timing.mjs';
import { signedIn } from './signed-in.mjs';
import { manyJobs, manyValves } from './copies.mjs';
import { MANY_LIVES, manyLives, OFTEN_HERE, WAITING_JOBS } from './lives.mjs';

const DATABASE = 'dusk_wren_bench';
const RESIDENT_LIMIT_MB = 250;
const ROUNDS = 150;
const HEADROOM_MS = 20;
const MANY_JOBS = 100_000;
const LIST_LIMIT_MS = 500;
const CUSTOMER = encodeURIComponent('Tarn Edge gas and water field');
const MANY_VALVES = 100_000;
const REGISTER_LIMIT_MS = 50;
/** Where two words that many valves have seldom or never go together, all that have the rarer one are looked at. */
const WALKED_LIMIT_MS = 200;

/** Memory of the server with the demo, a command's answer against a bare commit on the same database, lists of many jobs. */
export async function serverLoad(report) {
  for (const name of ['mariadb', 'secrets.json'])
    rmSync(join(dataHome('bench'), name), { recursive: true, force: true });
  const database = await privateDatabase({ name: 'bench', databases: [DATABASE] });
  try {
    const env = {
      DATABASE_URL: database.url(DATABASE),
      SESSION_SECRET: database.secrets.session,
      PORT: '0',
      LOG_LEVEL: 'error',
      WEB_ROOT: join(root, 'web/dist'),
    };
    await run('node', [join(root, 'server/dist/prepare.mjs'), '--demo'], { env, quiet: true });
    let ready;
    const isReady = new Promise((done) => (ready = done));
    const server = start('node', [join(root, 'server/dist/main.mjs')], {
      env,
      onLine: (line) => line.startsWith('{"ready"') && ready(JSON.parse(line).ready),
    });
    try {
      const url = await Promise.race([isReady, server.ended.then(() => '')]);
      const bare = p95(await bareCommits(database.url(DATABASE), ROUNDS));
      const shop = await signedIn(`${url}/api`);
      const answered = p95(await commands(shop));
      report('Command committed and answered, p95', answered, 2 * bare + HEADROOM_MS, 'ms');
      const [, kilobytes] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.child.pid}/status`, 'utf8'));
      report('Server, resident', Number(kilobytes) / 1000, RESIDENT_LIMIT_MB, 'MB');
      await manyJobs(database.url(DATABASE), MANY_JOBS);
      for (const [what, query] of [
        ['on benches', 'state=open'],
        ['that wait for me', 'state=open&waits=me'],
        ['found by words in their place', 'state=all&q=boiler'],
        ['found by words that none has', 'state=all&q=no such valve'],
      ]) {
        const times = await timed(20, () => shop.call(`/jobs?limit=50&${query}`), 5);
        report(`Jobs ${what}, of ${MANY_JOBS.toLocaleString('en')}, p95`, p95(times), LIST_LIMIT_MS, 'ms');
      }
      await manyValves(database.url(DATABASE), MANY_VALVES);
      const of = `of ${MANY_VALVES.toLocaleString('en')}, p95`;
      for (const [what, query, limit = REGISTER_LIMIT_MS] of [
        ['in the order of their tags', ''],
        ['by a word that a third has', 'q=refinery'],
        ['by a letter', 'q=h'],
        ['by two words half typed', 'q=pump har', WALKED_LIMIT_MS],
        ['by the beginning of a tag', 'q=hv2'],
        ['by a whole tag', 'q=HV-2214-1500'],
        ['by words that never go together', 'q=refinery field', WALKED_LIMIT_MS],
        ['of a kind, by a word', 'q=steam&construction=globe-bolted'],
      ]) {
        const times = await timed(20, () => shop.call(`/register?limit=48&${query}`), 5);
        report(`Valves ${what}, ${of}`, p95(times), limit, 'ms');
      }
      const often = await manyLives(database.url(DATABASE), MANY_LIVES);
      const lives = MANY_LIVES.toLocaleString('en');
      for (const [what, path, limit] of [
        [`Page of a valve with ${OFTEN_HERE} overhauls`, `/register/${often}`, 150],
        [`Fleet over ${lives} jobs, eight years`, '/fleet?months=96&rate=60', 300],
        [`Fleet over ${lives} jobs, three years of a customer`, `/fleet?months=36&customer=${CUSTOMER}`, 300],
        [`Jobs behind a cause, of ${lives}`, '/fleet/jobs?months=96&cause=seat worn', 300],
        [`Ages of a part, of ${lives}`, '/fleet/ages?construction=globe-bolted&part=disc', 300],
        ['Recall list of a year', '/due?by=2027-11-28', 300],
        [`Orders of ${WAITING_JOBS.toLocaleString('en')} open jobs`, '/store/orders', 100],
        ['What to keep', '/store/spares', 300],
      ])
        report(`${what}, p95`, p95(await timed(20, () => shop.call(path), 5)), limit, 'ms');
    } finally {
      await server.stop();
    }
  } finally {
    await database.stop();
  }
}

async function commands({ call, post }) {
  const { jobs } = await call('/jobs?limit=1');
  const { version } = await call(`/jobs/${jobs[0].id}`);
  let baseVersion = version;
  return timed(ROUNDS, async (i) => {
    const answer = await post(`/jobs/${jobs[0].id}/commands`, {
      baseVersion,
      commandId: randomUUID(),
      command: { kind: 'add-note', body: { text: `bench ${i}` } },
    });
    baseVersion = answer.version;
  });
}
