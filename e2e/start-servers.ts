import type { FullConfig } from '@playwright/test';
import { createConnection } from 'mariadb';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { copyDatabase, playDemo, root } from './play-demo';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';

interface Shop {
  readonly first: BuiltServer;
  readonly second: BuiltServer;
  readonly database: string;
}

/** A fresh database, with the demo played into it or copied from another one. */
async function freshDatabase(admin: string, name: string, like?: string): Promise<string> {
  const connection = await createConnection(admin);
  await connection.query(`DROP DATABASE IF EXISTS ${name}`);
  await connection.query(`CREATE DATABASE ${name}`);
  await connection.end();
  const address = admin.replace(/\/[^/]*$/, `/${name}`);
  await (like === undefined ? playDemo(envFor(address)) : copyDatabase(like, address));
  return address;
}

/** Where the servers of a database keep its back-ups. */
const backupsOf = (address: string): string => join(root, '.data/e2e-backups', new URL(address).pathname);

/** Where the rigs of a database leave their recordings. */
const dropsOf = (address: string): string => join(root, '.data/e2e-drops', new URL(address).pathname);

const envFor = (address: string): NodeJS.ProcessEnv => ({
  ...process.env,
  DATABASE_URL: address,
  SESSION_SECRET: 'a secret for the journeys only, 32+',
  WEB_ROOT: join(root, 'web/dist'),
  LOG_LEVEL: 'error',
  SIMULATION_RATE: '15',
  SHOP_NAME: 'Pinder Street valve shop',
  NODE_ENV: 'production',
  BACKUP_DIR: backupsOf(address),
  DROP_FOLDER: dropsOf(address),
  HOOK_HOSTS: 'planning.example',
});

/** Two servers on one database: what one commits must reach people on the other. */
async function startShop(database: string): Promise<Shop> {
  const env = envFor(database);
  mkdirSync(dropsOf(database), { recursive: true });
  const [first, second] = await Promise.all([builtServer(env), builtServer(env)]);
  return { first, second, database };
}

/** A shop for each journey that runs at the same time as another: neither sees what the other does. */
export default async function startServers({ workers }: FullConfig): Promise<() => Promise<void>> {
  const admin = process.env['TEST_DATABASE_URL'];
  if (admin === undefined)
    throw new Error('TEST_DATABASE_URL is not set: run `npm test`, which starts a database of its own');
  for (const left of ['e2e-backups', 'e2e-drops'])
    rmSync(join(root, '.data', left), { recursive: true, force: true });
  const played = await freshDatabase(admin, 'dw_e2e_0');
  const others = Array.from({ length: workers - 1 }, (_, i) =>
    freshDatabase(admin, `dw_e2e_${i + 1}`, played),
  );
  const shops = await Promise.all([played, ...(await Promise.all(others))].map(startShop));
  // The journeys run in processes of their own, which inherit this one's environment.
  shops.forEach(({ first, second, database }, index) => {
    process.env[`DW_FIRST_${index}`] = first.url;
    process.env[`DW_SECOND_${index}`] = second.url;
    process.env[`DW_DATABASE_${index}`] = database;
    process.env[`DW_BACKUPS_${index}`] = backupsOf(database);
    process.env[`DW_DROPS_${index}`] = dropsOf(database);
  });
  return async () => {
    for (const { first, second } of shops) await Promise.all([first.stop(), second.stop()]);
  };
}
