import { expect, test, type Browser, type Page } from '@playwright/test';
import { createConnection } from 'mariadb';
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { nothingSerious } from './axe';
import { jobAt, jobPath } from './api';
import { DATABASE, FIRST, inHand, sign, signIn, title } from './bench';
import { choose } from './choose';
import { openOwnJob } from './own-job';
import { workTo } from './plain';
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

test('an empty shop: its first lead by the printed code, all that it wants before its first valve, its first certificate', async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000);
  await page.goto(server.url);
  await expect.poll(() => server.said(CODE)).not.toBe('');
  // It takes the focus when it is first seen: what is typed elsewhere before that would land in it.
  await expect(page.getByLabel('Code from the server')).toBeFocused();
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
    await choose(page.locator('.v-field', { hasText: 'Units that people begin with' }), 'SI');
    await page.getByLabel('Time zone: type a town').fill('Lisb');
    await page.getByRole('option', { name: 'Europe/Lisbon' }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('status')).toContainText('SI units, clocks of Europe/Lisbon');
    await expect(page.getByRole('button', { name: 'Units SI: switch' })).toBeVisible();
  });
  const codes = await test.step('somebody to work and somebody to inspect, out of a file', async () => {
    await round.getByRole('button', { name: 'Add people' }).click();
    await expect(round.getByText('Name the shop: done')).toBeVisible();
    await broughtIn(page, 'people', [
      'name,role,skills',
      'Abel Sorkin,technician,relief valves | lapping',
      'Imke Dray,inspector,',
      'Nobody,foreman,',
    ]);
    await expect(page.getByRole('row', { name: /Nobody/ })).toContainText('bad');
    await nothingSerious(page);
    await page.getByRole('button', { name: 'Take 2 rows, leave 1' }).click();
    const slip = page.getByRole('region', { name: 'Code for the first sign-in' });
    const given = await slip.locator('dl').innerText();
    expect(await tooSmall(page)).toEqual([]);
    await slip.getByRole('button', { name: 'I have passed them on' }).click();
    await expect(page.locator('.person', { hasText: 'Abel Sorkin' })).toContainText('has not signed in yet');
    const [, abel = '', imke = ''] = /Abel Sorkin\s+([\d ]+)\s+Imke Dray\s+([\d ]+)/.exec(given) ?? [];
    return { abel, imke };
  });
  await test.step('where they work, and what they read with', async () => {
    await round.getByRole('button', { name: 'Add places' }).click();
    await page.getByRole('button', { name: 'Add a place' }).click();
    const places = page.getByRole('region', { name: 'Places' });
    await places.getByLabel('Name', { exact: true }).fill('Long bench');
    await places.getByLabel('How many there are').fill('3');
    await places.getByRole('button', { name: 'Sat' }).click();
    await places.getByRole('button', { name: 'Keep it' }).click();
    await expect(places.getByRole('article')).toContainText('3 × benchMon to Sat, 07:00 to 15:30');
    expect(await tooSmall(page)).toEqual([]);
    await nothingSerious(page);
    await round.getByRole('button', { name: 'Add instruments' }).click();
    await broughtIn(page, 'instruments', ['name,kind,calibration due', 'Gauge A,gauge,2031-05-01']);
    await page.getByRole('button', { name: 'Take 1 row' }).click();
    await expect(page.getByText('Gauge A', { exact: true })).toBeVisible();
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

  const [abel, imke] = await Promise.all([
    firstSignIn(browser, 'Abel Sorkin', codes.abel, '7913'),
    firstSignIn(browser, 'Imke Dray', codes.imke, '791357'),
  ]);
  await test.step('a valve is received for a check, and worked through', async () => {
    await abel.getByRole('button', { name: 'Receive a valve' }).click();
    await abel.getByLabel('Type, paste or scan the plate').fill('LK-12; DN 80; class 150; WCB');
    await abel.getByLabel('Where it sits').fill('kiln gas, east');
    await abel.getByRole('combobox', { name: 'Customer' }).press('ArrowDown');
    await abel.getByRole('option', { name: 'Lime kiln' }).click();
    await choose(abel.locator('.v-field', { hasText: 'What it is for' }), 'seat and function check');
    await abel.getByRole('button', { name: 'Open the job' }).click();
    await expect(abel.getByRole('group', { name: 'Nameplate' })).toContainText('seat and function check:');
    await expect(title(abel)).toBeVisible();
    await workTo(abel, /^Hold: /);
  });
  await test.step('the inspector releases the hold and signs the first certificate', async () => {
    await imke.goto(abel.url());
    const had = (await jobAt(imke)).entries.length;
    await sign(imke, /release the hold/, '791357');
    // It has reached the server: whoever asks there has the next step.
    await expect.poll(async () => (await jobAt(imke)).entries.length).toBeGreaterThan(had);
    await workTo(abel, 'Sign the certificate');
    await sign(imke, /^Sign as /, '791357');
    await expect(imke.locator('.signed')).toBeVisible();
    await imke.getByRole('link', { name: 'Open it' }).click();
    await expect(imke.getByText(/Signed by Imke Dray/).first()).toBeVisible();
    await expect(imke.getByText('Lime kiln').first()).toBeVisible();
    const pdf = await imke.request.get(
      `${server.url}${(await imke.getByRole('link', { name: 'Open the PDF' }).getAttribute('href')) ?? ''}`,
    );
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  });
  await test.step('a job of another shop is brought in, and says so', async () => {
    const other = await (await browser.newContext()).newPage();
    await signIn(other, 'Ines Okoro');
    await openOwnJob(other);
    const path = jobPath(other);
    const tag = /OWN-[0-9a-f]+/.exec(await other.getByRole('group', { name: 'Nameplate' }).innerText())?.[0];
    const exported = await other.request.get(`${FIRST}/api${path}/export.zip`);
    await page.getByRole('link', { name: 'Setup' }).click();
    await page.getByRole('button', { name: 'Keeping' }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Bring a job in' }).click();
    const buffer = await exported.body();
    await (await chooser).setFiles({ name: 'a job.zip', mimeType: 'application/zip', buffer });
    const elsewhere = page.getByRole('region', { name: 'A job from elsewhere' });
    await expect(elsewhere.getByRole('status')).toContainText('a job.zip is in, with 0 photographs.');
    expect(await tooSmall(page)).toEqual([]);
    await elsewhere.getByRole('link', { name: 'Open it' }).click();
    await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText(tag ?? 'no tag');
    await expect(page.getByText(/Imported, not checked here/).first()).toBeVisible();
  });
});

/** Brings rows in by their file, as far as the look at what they would do. */
async function broughtIn(page: Page, name: string, rows: readonly string[]): Promise<void> {
  await page.getByText('From and to a file').click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  const buffer = Buffer.from(rows.join('\r\n'));
  await (await chooser).setFiles({ name: `${name}.csv`, mimeType: 'text/csv', buffer });
}

/** The first sign-in of somebody at a screen of their own: by their code, to a PIN of their own. */
async function firstSignIn(browser: Browser, name: string, code: string, pin: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${server.url}/sign-in`);
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await page.getByLabel(`PIN of ${name}`).fill(code);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel(`PIN of your own, ${name}`).fill(pin);
  await page.getByRole('button', { name: 'This is my PIN' }).click();
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeVisible();
  return page;
}
