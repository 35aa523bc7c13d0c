import { jobView } from '@dusk-wren/contract';
import { createConnection, type Connection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { note, openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
let other: Connection;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  other = await createConnection(shop.databaseUrl);
  await other.query('CREATE TABLE weight (id INT PRIMARY KEY)');
});
afterAll(async () => {
  await other.end();
  await shop.close();
});

/** Once somebody waits for a lock of this connection. */
const somebodyWaits = () =>
  vi.waitFor(
    async () => {
      const waiting: unknown[] = await other.query('SELECT * FROM information_schema.innodb_lock_waits');
      expect(waiting).not.toEqual([]);
    },
    // What it shows is renewed only where nobody asks more often.
    { timeout: 20_000, interval: 250 },
  );

describe('a command whose transaction is given up at its receipt', () => {
  it('is done again, whole: nothing of the first time is kept by itself', async () => {
    const job = await ada.openJob(shop);
    const commandId = randomUUID();
    await other.beginTransaction();
    // Of two that wait for each other the lighter one is given up (common practice of InnoDB): this is the heavier.
    await other.query('INSERT INTO weight SELECT seq FROM seq_1_to_2000');
    await other.query('INSERT INTO command_receipts VALUES (?, ?, 1, 1)', [commandId, job]);
    const answered = ada.command(job, 2, note('once'), commandId);
    await somebodyWaits();
    await other.query('SELECT version FROM jobs WHERE id = ? FOR UPDATE', [job]);
    await other.rollback();
    const { status, body } = await answered;
    expect({ status, body }).toMatchObject({ status: 200, body: { version: 3 } });
    const { version, entries } = jobView.parse((await ada.get(`/api/jobs/${job}`)).body);
    expect(version).toBe(3);
    expect(entries.map(({ kind }) => kind).slice(2)).toEqual(['note-added']);
  });
});
