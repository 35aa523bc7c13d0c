import type { FullConfig } from '@playwright/test';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { BuiltServer } from '../scripts/machine/built-server.mjs';
import { root } from './play-demo';
import { backupsOf, dropsOf, freshDatabase, serverOn } from './shops';

interface Shop {
  readonly first: BuiltServer;
  readonly second: BuiltServer;
  readonly database: string;
}

/** Two servers on one database: what one commits must reach people on the other. */
async function startShop(database: string): Promise<Shop> {
  mkdirSync(dropsOf(database), { recursive: true });
  const [first, second] = await Promise.all([serverOn(database), serverOn(database)]);
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
  // Nobody works in this one: it stays as the demo left it, to be copied.
  process.env['DW_DEMO'] = await freshDatabase(admin, 'dw_e2e_demo', played);
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
