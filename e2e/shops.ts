import { createConnection } from 'mariadb';
import { join } from 'node:path';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { copyDatabase, playDemo, root } from './play-demo';

/** Shops of the journeys: a database with the demo in it, and servers on it. */

/** A fresh database, with the demo played into it or copied from another one. */
export async function freshDatabase(admin: string, name: string, like?: string): Promise<string> {
  const connection = await createConnection(admin);
  await connection.query(`DROP DATABASE IF EXISTS ${name}`);
  await connection.query(`CREATE DATABASE ${name}`);
  await connection.end();
  const address = admin.replace(/\/[^/]*$/, `/${name}`);
  await (like === undefined ? playDemo(envFor(address)) : copyDatabase(like, address));
  return address;
}

/** Where the servers of a database keep its back-ups. */
export const backupsOf = (address: string): string =>
  join(root, '.data/e2e-backups', new URL(address).pathname);

/** Where the rigs of a database leave their recordings. */
export const dropsOf = (address: string): string => join(root, '.data/e2e-drops', new URL(address).pathname);

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

/** A server on a database; any number of them may be on the same. */
export const serverOn = (address: string): Promise<BuiltServer> => builtServer(envFor(address));
