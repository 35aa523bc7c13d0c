import { expect, test } from '@playwright/test';
import { join } from 'node:path';
import { privateDatabase, type PrivateDatabase } from '../scripts/machine/database.mjs';
import { DATABASE, inHand, signIn } from './bench';
import { addNote, logOf, openOwnJob } from './own-job';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { copyDatabase, root } from './play-demo';

/** A database and a server of this journey's own: the database is killed. */
const NAME = 'dw_e2e_away';
let database: PrivateDatabase;
let server: BuiltServer;
const start = (port?: number) =>
  privateDatabase({ name: 'e2e-away', databases: [NAME], ...(port === undefined ? {} : { port }) });

test.beforeAll(async () => {
  test.setTimeout(240_000);
  database = await start();
  const env = {
    ...process.env,
    DATABASE_URL: database.url(NAME),
    SESSION_SECRET: 'a secret for this journey alone, 32+',
    WEB_ROOT: join(root, 'web/dist'),
    LOG_LEVEL: 'error',
    NODE_ENV: 'production',
  };
  await copyDatabase(DATABASE, env.DATABASE_URL);
  server = await builtServer(env);
});
test.afterAll(async () => {
  await server.stop();
  await database.stop();
});

test('the database is killed under an entry: it waits, is said, and is stored once, under the right name', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Ines Okoro', server.url);
  const address = await openOwnJob(page);
  await database.stop('SIGKILL');

  await test.step('what is entered meanwhile is kept, and the page says which entry waits for what', async () => {
    await addNote(page, 'seat ring looks pulled');
    const alert = page.getByRole('alert').first();
    await expect(alert).toContainText('The shop’s database does not answer at the moment.');
    await expect(alert).toContainText('1 entry, “seat ring looks pulled”');
    await inHand(page).getByRole('button', { name: 'Done' }).click();
    await expect(alert).toContainText('2 entries, “seat ring looks pulled” and 1 more');
  });
  await test.step('the page is loaded again: it still waits', async () => {
    await page.reload();
    await expect(page.getByRole('alert').first()).toContainText('2 entries', { timeout: 20_000 });
  });
  await test.step('the database is back: both are sent by themselves, once, by who did them', async () => {
    database = await start(database.port);
    await expect(page.getByRole('alert')).toHaveCount(0, { timeout: 60_000 });
    // The alert is gone with the first answer; the second entry follows it.
    await expect(async () => {
      const log = await logOf(page, address);
      const notes = log.filter(({ text }) => text === 'seat ring looks pulled');
      expect(notes).toMatchObject([{ by: 'Ines Okoro' }]);
      expect(log.filter(({ kind }) => kind === 'step-done')).toMatchObject([{ by: 'Ines Okoro' }]);
      expect(new Set(log.map(({ commandId }) => commandId)).size).toBe(3);
    }).toPass({ timeout: 20_000 });
  });
});
