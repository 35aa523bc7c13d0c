import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { serve } from './serve';
import { defineModels } from './database/models';
import { note, openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let job: string;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  job = await ada.openJob(shop);
});
afterAll(async () => {
  defineModels(shop.sequelize);
  await shop.close();
});

describe('a server that is told to stop', () => {
  it('ends its streams, finishes what is in flight, and only then lets go', async () => {
    const running = await serve({ ...shop.config, PORT: 0 }, pino({ level: 'silent' }));
    const stream = await fetch(`${running.url}/api/jobs/${job}/live?after=2`, {
      headers: { cookie: ada.cookie },
    });
    expect(stream.status).toBe(200);
    // Somebody holds the job: the command waits for it, longer than streams are given.
    const other = await createConnection(shop.databaseUrl);
    await other.query('START TRANSACTION');
    await other.query('SELECT * FROM jobs WHERE id = ? FOR UPDATE', [job]);
    const command = request(running.url)
      .post(`/api/jobs/${job}/commands`)
      .set({ ...ada.headers(), cookie: ada.cookie })
      .send({ baseVersion: 2, commandId: randomUUID(), command: note('in flight') })
      .then((answer) => answer);
    await new Promise((sent) => setTimeout(sent, 300));
    const closed = running.close();
    for await (const _chunk of stream.body ?? []);
    await new Promise((later) => setTimeout(later, 2000));
    await other.query('ROLLBACK');
    await other.end();
    expect((await command).status).toBe(200);
    await closed;
    await expect(fetch(`${running.url}/healthz`)).rejects.toThrow();
  }, 30_000);
});
