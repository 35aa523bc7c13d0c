import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { dataHome, privateDatabase } from './machine/database.mjs';
import { debianPackages } from './machine/debian.mjs';
import { demoShop, WHO_IS_THERE } from './machine/demo-shop.mjs';
import { nodeModules } from './machine/modules.mjs';
import { portIsFree, publicPort } from './machine/ports.mjs';
import { run, start } from './machine/run.mjs';
import { main, Plain, root, step } from './machine/say.mjs';
import { stoppingAtTheEnd } from './machine/stopping.mjs';

const DATABASE = 'dusk_wren_demo';

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
  const port = await publicPort('npm run demo');
  await stoppingAtTheEnd(async (stops) => {
    await debianPackages('mariadb-server');
    await nodeModules();
    await build();
    const home = dataHome('demo');
    stops.add(claim(home));
    if (process.argv.includes('--fresh')) {
      await step('Starting over: removing the demo data', async () => {
        for (const name of ['mariadb', 'mariadb.half-made', 'secrets.json', 'backups', 'rigs'])
          rmSync(join(home, name), { recursive: true, force: true });
      });
    }
    const isNew = !existsSync(join(home, 'mariadb'));
    const database = await step('Starting a private database on loopback', async () => {
      const started = await privateDatabase({ name: 'demo', databases: [DATABASE] });
      stops.add(started.stop);
      return started;
    });
    const env = {
      ...demoShop({ port, secrets: database.secrets, home: database.home }),
      DATABASE_URL: database.url(DATABASE),
      PORT: String(port),
    };
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
      `\nDusk Wren is at http://127.0.0.1:${port}\n\n  ${WHO_IS_THERE}\n  A CSV put into ${env.DROP_FOLDER}, its name beginning with the tag of an open job, lands on that job.\n  Ctrl-C stops it; the data stays. \`npm run demo -- --fresh\` starts over.\n\n`,
    );
    const which = await Promise.race([
      server.ended.then(() => 'server'),
      database.ended.then(() => 'database'),
    ]);
    if (!stops.hasBegun()) throw new Plain(`The ${which} has ended by itself; see above. Data is kept.`);
  });
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
  stops.add(() => started.stop());
  const first = await Promise.race([isReady, started.ended.then(() => undefined)]);
  if (!first) throw new Plain(`The ${what} did not start; see above.`);
  return { started, ready: first };
}
