import { createConnection } from 'mariadb';
import { builtServer } from '../scripts/machine/built-server.mjs';
import { playDemo, root } from './play-demo';
import { join } from 'node:path';

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
    SHOP_NAME: 'Pinder Street valve shop',
    NODE_ENV: 'production',
  };
  await playDemo(env);
  const servers = await Promise.all([builtServer(env), builtServer(env)]);
  // The journeys run in processes of their own, which inherit this one's environment.
  process.env['DW_FIRST'] = servers[0]?.url;
  process.env['DW_SECOND'] = servers[1]?.url;
  process.env['DW_DATABASE'] = env.DATABASE_URL;
  return async () => {
    for (const each of servers) await each.stop();
  };
}
