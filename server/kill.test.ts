import { jobView } from '@dusk-wren/contract';
import { randomUUID } from 'node:crypto';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Browser } from './testing/browser';
import { note, openShop, Screen, type Shop } from './testing/shop';

/** A server process of its own on the shop's database. */
const serverOn = (shop: Shop): Promise<BuiltServer> =>
  builtServer({
    ...process.env,
    DATABASE_URL: shop.databaseUrl,
    SESSION_SECRET: shop.config.SESSION_SECRET,
  });

let shop: Shop;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
});
afterAll(() => shop.close());

describe('kill −9 between request and answer', () => {
  it('loses no acknowledged command and doubles none on retry', { timeout: 120_000 }, async () => {
    const job = await ada.openJob(shop);
    const version = async () => jobView.parse((await ada.get(`/api/jobs/${job}`)).body).version;
    const millisecondsBeforeTheKill = [0, 2, 4, 6, 9, 12, 16, 25];
    for (const [round, patience] of millisecondsBeforeTheKill.entries()) {
      const base = await version();
      const commandId = randomUUID();
      const server = await serverOn(shop);
      const browser = await Browser.open(server.url, shop.people.ada);
      const acknowledged = browser
        .command(job, base, note(`round ${round}`), commandId)
        .then((answer) => answer.status === 200)
        .catch(() => false);
      await new Promise((done) => setTimeout(done, patience));
      await server.stop('SIGKILL');
      if (await acknowledged) expect(await version(), `after ${patience} ms`).toBe(base + 1);
      const retried = await ada.command(job, base, note(`round ${round}`), commandId);
      expect(retried.status, `after ${patience} ms`).toBe(200);
      expect(await version(), `after ${patience} ms`).toBe(base + 1);
    }
    const notes = jobView
      .parse((await ada.get(`/api/jobs/${job}`)).body)
      .entries.filter(({ kind }) => kind === 'note-added');
    expect(notes).toHaveLength(millisecondsBeforeTheKill.length);
  });
});
