import { createConnection } from 'mariadb';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const DATABASE = 'dw_e2e';

/** A fresh database with the demo, and two servers on it: what one commits must reach people on the other. */
export default async function startServers(): Promise<() => Promise<void>> {
  const admin = process.env['TEST_DATABASE_URL'];
  if (admin === undefined)
    throw new Error('TEST_DATABASE_URL is not set: run `npm test`, which starts a database of its own');
  const connection = await createConnection(admin);
  await connection.query(`DROP DATABASE IF EXISTS ${DATABASE}`);
  await connection.query(`CREATE DATABASE ${DATABASE}`);
  await connection.end();
  const env = {
    ...process.env,
    DATABASE_URL: admin.replace(/\/[^/]*$/, `/${DATABASE}`),
    SESSION_SECRET: 'a secret for the journeys only, 32+',
    WEB_ROOT: join(root, 'web/dist'),
    LOG_LEVEL: 'error',
    SIMULATION_RATE: '15',
    SIGN_IN_TRIES: '1000',
    NODE_ENV: 'production',
  };
  const prepared = spawn(process.execPath, [join(root, 'server/dist/prepare.mjs'), '--demo'], {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const [code] = await once(prepared, 'exit');
  if (code !== 0) throw new Error('the demo could not be played into the database');
  const servers = await Promise.all([server({ ...env, PORT: '4791' }), server({ ...env, PORT: '4792' })]);
  return async () => {
    for (const each of servers) {
      each.kill('SIGTERM');
      await once(each, 'exit');
    }
  };
}

async function server(env: NodeJS.ProcessEnv): Promise<ChildProcess> {
  const child = spawn(process.execPath, [join(root, 'server/dist/main.mjs')], {
    env: { ...env, PUBLIC_URL: `http://127.0.0.1:${env['PORT'] ?? ''}` },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((ready, failed) => {
    child.stdout.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('"ready"')) ready();
    });
    child.once('exit', (status) => failed(new Error(`the server ended with ${status}`)));
  });
  return child;
}
