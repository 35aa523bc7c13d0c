import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { build } from './build.mjs';
import { dataHome, privateDatabase } from './machine/database.mjs';
import { debianPackages } from './machine/debian.mjs';
import { nodeModules } from './machine/modules.mjs';
import { run, start } from './machine/run.mjs';
import { main, note, Plain, root, step } from './machine/say.mjs';

const PORT = Number(process.env.PORT ?? 4780);
const DATABASE = 'dusk_wren_demo';

function portIsFree(port) {
  return new Promise((done) => {
    const probe = createServer();
    probe.once('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });
}

function alive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/** One demo at a time: two databases on one data directory would spoil it. */
function claim(home) {
  const file = join(home, 'running.pid');
  const other = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  if (other && other !== process.pid && alive(other))
    throw new Plain(`The demo runs already, as process ${other}. Stop that one first.`);
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}

await main(async () => {
  if (!Number.isInteger(PORT) || PORT < 1 || PORT > 65535)
    throw new Plain(`PORT is ${process.env.PORT}; it must be a number from 1 to 65535.`);
  if (!(await portIsFree(PORT)))
    throw new Plain(`Port ${PORT} is in use. Stop what uses it, or choose another: PORT=4781 npm run demo`);
  const stops = [];
  let stopping;
  const stopAll = () =>
    (stopping ??= (async () => {
      for (const stop of stops.reverse()) await stop();
    })());
  const onSignal = (signal) => {
    process.stdout.write(`\n${signal}: stopping what was started\n`);
    void stopAll().then(() => process.exit(0));
  };
  process.on('SIGINT', onSignal);
  process.on('SIGTERM', onSignal);

  try {
    await debianPackages('mariadb-server');
    await nodeModules();
    await build();
    const home = dataHome('demo');
    stops.push(claim(home));
    if (process.argv.includes('--fresh')) {
      await step('Starting over: removing the demo data', async () => {
        for (const name of ['mariadb', 'mariadb.half-made', 'secrets.json', 'backups', 'rigs'])
          rmSync(join(home, name), { recursive: true, force: true });
      });
    }
    const isNew = !existsSync(join(home, 'mariadb'));
    const database = await step('Starting a private database on loopback', async () => {
      const started = await privateDatabase({ name: 'demo', databases: [DATABASE] });
      stops.push(started.stop);
      return started;
    });
    const env = {
      DATABASE_URL: database.url(DATABASE),
      SESSION_SECRET: database.secrets.session,
      PORT: String(PORT),
      HOST: '127.0.0.1',
      PUBLIC_URL: process.env.PUBLIC_URL ?? `http://127.0.0.1:${PORT}`,
      WEB_ROOT: join(root, 'web/dist'),
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      SHOP_NAME: 'Pinder Street valve shop',
      BACKUP_DIR: join(database.home, 'backups'),
      DROP_FOLDER: join(database.home, 'rigs'),
      // Pictures leave their memory behind in as many places as there are arenas.
      MALLOC_ARENA_MAX: '2',
    };
    mkdirSync(env.DROP_FOLDER, { recursive: true });
    env.BENCH_DEVICE_PORT = String(
      await step('Starting the stand-in for a bench on the network', () => startDevice(home, stops)),
    );
    await step(isNew ? 'Making tables and playing the demo jobs' : 'Bringing the database up to date', () =>
      run('node', [join(root, 'server/dist/prepare.mjs'), '--demo'], {
        env,
        failure: 'The database could not be prepared',
      }),
    );
    const server = await step('Starting the server', () => startServer(env, stops));
    process.stdout.write(
      `\nDusk Wren is at http://127.0.0.1:${PORT}\n\n  Sign in as Ines Okoro (technician), Noor Castellane (inspector) or Petra Lundholm (lead); the PIN of everybody here is 2468.\n  A CSV put into ${env.DROP_FOLDER}, its name beginning with the tag of an open job, lands on that job.\n  Ctrl-C stops it; the data stays. \`npm run demo -- --fresh\` starts over.\n\n`,
    );
    const which = await Promise.race([
      server.ended.then(() => 'server'),
      database.ended.then(() => 'database'),
    ]);
    if (!stopping) throw new Plain(`The ${which} has ended by itself; see above. Data is kept.`);
    await stopAll();
  } catch (error) {
    if (stopping) return stopping;
    await stopAll();
    throw error;
  } finally {
    if (!stopping) note('stopped');
  }
});

async function startServer(env, stops) {
  return (await startReady('main', 'server', env, stops)).started;
}

/** The bench that is read over the network keeps its port, where nobody else has taken it. */
async function startDevice(home, stops) {
  const file = join(home, 'bench-device.port');
  const kept = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  const env = kept && (await portIsFree(kept)) ? { BENCH_DEVICE_PORT: String(kept) } : {};
  const { ready } = await startReady('bench-device', 'stand-in for a bench', env, stops);
  writeFileSync(file, String(ready));
  return ready;
}

/** A process of the build, and what it says as it is ready. */
async function startReady(name, what, env, stops) {
  let ready;
  const isReady = new Promise((done) => {
    ready = done;
  });
  const started = start('node', [join(root, `server/dist/${name}.mjs`)], {
    env,
    onLine: (line) =>
      line.startsWith('{"ready"') ? ready(JSON.parse(line).ready) : process.stdout.write(`  ${line}\n`),
  });
  stops.push(() => started.stop());
  const first = await Promise.race([isReady, started.ended.then(() => undefined)]);
  if (!first) throw new Plain(`The ${what} did not start; see above.`);
  return { started, ready: first };
}
