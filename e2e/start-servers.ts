import type { FullConfig } from '@playwright/test';
import { createConnection } from 'mariadb';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { playDemo, root } from './play-demo';
import { join } from 'node:path';

interface Shop {
  readonly first: BuiltServer;
  readonly second: BuiltServer;
  readonly database: string;
}

/** A fresh database with the demo, and two servers on it: what one commits must reach people on the other. */
async function startShop(admin: string, database: string): Promise<Shop> {
  const connection = await createConnection(admin);
  await connection.query(`DROP DATABASE IF EXISTS ${database}`);
  await connection.query(`CREATE DATABASE ${database}`);
  await connection.end();
  const env = {
    ...process.env,
    DATABASE_URL: admin.replace(/\/[^/]*$/, `/${database}`),
    SESSION_SECRET: 'a secret for the journeys only, 32+',
    WEB_ROOT: join(root, 'web/dist'),
    LOG_LEVEL: 'error',
    SIMULATION_RATE: '15',
    SHOP_NAME: 'Pinder Street valve shop',
    NODE_ENV: 'production',
  };
  await playDemo(env);
  const [first, second] = await Promise.all([builtServer(env), builtServer(env)]);
  return { first, second, database: env.DATABASE_URL };
}

/** A shop for each journey that runs at the same time as another: neither sees what the other does. */
export default async function startServers({ workers }: FullConfig): Promise<() => Promise<void>> {
  const admin = process.env['TEST_DATABASE_URL'];
  if (admin === undefined)
    throw new Error('TEST_DATABASE_URL is not set: run `npm test`, which starts a database of its own');
  const shops = await Promise.all(
    Array.from({ length: workers }, (_, index) => startShop(admin, `dw_e2e_${index}`)),
  );
  // The journeys run in processes of their own, which inherit this one's environment.
  shops.forEach(({ first, second, database }, index) => {
    process.env[`DW_FIRST_${index}`] = first.url;
    process.env[`DW_SECOND_${index}`] = second.url;
    process.env[`DW_DATABASE_${index}`] = database;
  });
  return async () => {
    for (const { first, second } of shops) await Promise.all([first.stop(), second.stop()]);
  };
}
