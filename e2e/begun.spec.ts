import { expect, test } from '@playwright/test';
import { createConnection } from 'mariadb';
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { nothingSerious } from './axe';
import { DATABASE, inHand } from './bench';
import { root } from './play-demo';
import { tooSmall } from './sizes';

const NAME = `dw_begun_${randomUUID().slice(0, 8)}`;
const CODE = /first lead with this code, good until then: ([A-Z0-9-]+)/;
let server: BuiltServer;

test.beforeAll(async () => {
  const connection = await createConnection(DATABASE);
  await connection.query(`CREATE DATABASE ${NAME}`);
  await connection.end();
  const env = {
    ...process.env,
    DATABASE_URL: DATABASE.replace(/\/[^/]*$/, `/${NAME}`),
    SESSION_SECRET: 'a secret of a shop that begins today',
    WEB_ROOT: join(root, 'web/dist'),
    LOG_LEVEL: 'error',
    NODE_ENV: 'production',
  };
  expect(spawnSync(process.execPath, [join(root, 'server/dist/prepare.mjs')], { env }).status).toBe(0);
  server = await builtServer(env);
});
test.afterAll(async () => {
  await server.stop();
  const connection = await createConnection(DATABASE);
  await connection.query(`DROP DATABASE ${NAME}`);
  await connection.end();
});

test('an empty shop: its first lead by the printed code, then all that it wants before its first valve', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto(server.url);
  await expect.poll(() => server.said(CODE)).not.toBe('');
  await page.getByLabel('Code from the server').fill(server.said(CODE));
  await page.getByLabel('Your name').fill('Runa Whitlock');
  await page.getByLabel(/^A PIN of your own/).fill('135246');
  await page.getByRole('button', { name: 'Be the first lead' }).click();
  const round = page.getByRole('region', { name: 'Before the first valve' });
  await expect(round).toBeVisible();
  expect(await tooSmall(page)).toEqual([]);
  await nothingSerious(page);

  await test.step('the shop is named, with its units, which go on for who has turned the look alone', async () => {
    await page.getByRole('button', { name: 'Daylight' }).click();
    await expect(page.locator('html[data-theme="daylight"]')).toBeAttached();
    await round.getByRole('button', { name: 'Name the shop' }).click();
    await page.getByLabel('Name of the shop').fill('Tanner’s Row valve shop');
    await page.locator('.v-field', { hasText: 'Units that people begin with' }).click();
    await page.getByRole('option', { name: 'SI' }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('status')).toContainText('Kept: Tanner’s Row valve shop, SI units');
    await expect(page.getByRole('button', { name: 'Units SI: switch' })).toBeVisible();
  });
  await test.step('somebody to work, and somebody to inspect', async () => {
    await round.getByRole('button', { name: 'Add people' }).click();
    await expect(round.getByText('Name the shop: done')).toBeVisible();
    await page.getByLabel('Somebody new: name').fill('Abel Sorkin');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('button', { name: 'I have passed it on' }).click();
    await expect(page.locator('.person', { hasText: 'Abel Sorkin' })).toContainText('has not signed in yet');
  });
  await test.step('the first customer, and the rules of its site', async () => {
    await round.getByRole('button', { name: 'Add the first customer' }).click();
    await page.getByLabel('A new customer: name').fill('Lime kiln');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    const site = page.locator('.site', { hasText: 'Lime kiln' });
    await site.getByText('rules 1, 0 open jobs').click();
    await site.getByLabel('Next overhaul after').fill('24');
    await site.getByLabel('Damage ground in, up to').fill('0.04 mm');
    await expect(site).toContainText('To be changed: Damage ground in, up to · Next overhaul after');
    await nothingSerious(page);
    await site.getByRole('button', { name: 'What it would change' }).click();
    await expect(site).toContainText('0 of 0 open jobs would stand otherwise');
    await site.getByRole('button', { name: 'These rules from now on' }).click();
    await expect(site).toContainText('rules 2');
  });
  await test.step('what is left can wait; a valve is received by the shop’s own name', async () => {
    await round.getByRole('button', { name: 'Leave the rest for later' }).click();
    await expect(round).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Setup' })).toBeVisible();
    await expect(round).toHaveCount(0);
    await page.getByRole('link', { name: 'Floor', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible();
    expect(await inHand(page).count()).toBe(0);
  });
});
