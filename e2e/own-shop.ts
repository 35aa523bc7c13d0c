import { test } from '@playwright/test';
import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import { DEMO } from './bench';
import { freshDatabase, serverOn } from './shops';

/**
 * A shop for the journeys of one file alone, as the demo leaves it: for what looks at all open jobs together, where those that
 * other journeys left open would stand in the way.
 */
export function ownShop(): { readonly url: string } {
  const shop = { url: '' };
  let close: () => Promise<void>;
  test.beforeAll(async () => {
    test.setTimeout(120_000);
    const name = `dw_e2e_own_${randomUUID().slice(0, 8)}`;
    const address = await freshDatabase(DEMO, name, DEMO);
    const server = await serverOn(address);
    shop.url = server.url;
    close = async () => {
      await server.stop();
      const connection = await createConnection(DEMO);
      await connection.query(`DROP DATABASE ${name}`);
      await connection.end();
    };
  });
  test.afterAll(() => close());
  return shop;
}
