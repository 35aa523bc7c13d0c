import { expect, test } from '@playwright/test';
import { createConnection } from 'mariadb';
import { DATABASE, FIRST, inHand, press, sign, signIn, title } from './bench';
import { workTo } from './plain';
import { addNote, logOf, openOwnJob } from './own-job';

/** What an attack stored under another's name, threw away or got past a lock: each as it happened, in the browser. */

async function endSessions(): Promise<void> {
  const connection = await createConnection(DATABASE);
  await connection.query('DELETE FROM sessions');
  await connection.end();
}

test('a sign-in runs out under an entry: the next person at the screen does not get it', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  // A page that hears nothing of it: its stream hangs.
  await page.route('**/live?*', () => undefined);
  const address = await openOwnJob(page);
  await endSessions();
  await addNote(page, 'gland was finger tight');
  const alert = page.getByRole('alert').first();
  await expect(alert).toContainText('Your sign-in has ended.');
  await expect(alert).toContainText('Waiting on this device: 1 entry, “gland was finger tight”');

  await test.step('another signs in at the same screen: it waits, and is said to', async () => {
    await page.getByRole('link', { name: 'Sign in again' }).click();
    await expect(page.getByRole('button', { name: /Ines Okoro/ })).toContainText('1 waiting to be sent');
    await page.getByRole('button', { name: /Wen Aldous/ }).click();
    await page.getByLabel(/^PIN of/).fill('2468');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page).toHaveURL(address);
    await expect(page.getByText('1 entry of Ines Okoro waits on this device')).toBeVisible();
    await addNote(page, 'said by the next one');
    await expect
      .poll(async () => (await logOf(page, address)).map(({ text }) => text))
      .toContain('said by the next one');
    expect((await logOf(page, address)).map(({ text }) => text)).not.toContain('gland was finger tight');
  });

  await test.step('signed in again, it goes out under the name of who did it, once', async () => {
    await page.getByRole('button', { name: /sign out/ }).click();
    await signIn(page, 'Ines Okoro');
    await page.goto(address);
    await expect
      .poll(async () => (await logOf(page, address)).filter(({ text }) => text === 'gland was finger tight'))
      .toMatchObject([{ by: 'Ines Okoro' }]);
    await expect(page.getByText('waits on this device')).toHaveCount(0);
  });
});

test('somebody else signs in in a second window: the first asks who sits there before it takes anything', async ({
  context,
}) => {
  const first = await context.newPage();
  await signIn(first, 'Jory Velde');
  const address = await openOwnJob(first);
  const second = await context.newPage();
  await second.goto(`${FIRST}/sign-in`);
  await second.getByRole('button', { name: /Tam Brackley/ }).click();
  await second.getByLabel(/^PIN of/).fill('2468');
  await second.getByRole('button', { name: 'Sign in' }).click();
  await expect(second.getByRole('heading', { name: 'The floor' })).toBeVisible();
  await expect(
    first.getByText('Tam Brackley has signed in on this browser in another window.'),
  ).toBeVisible();
  expect((await logOf(second, address)).filter(({ by }) => by === 'Tam Brackley')).toEqual([]);
  await first.getByRole('button', { name: 'I am Tam Brackley: go on' }).click();
  await expect(first).toHaveURL(address);
  await addNote(first, 'now by Tam');
  await expect
    .poll(async () => (await logOf(second, address)).find(({ text }) => text === 'now by Tam')?.by)
    .toBe('Tam Brackley');
});

test('signing out without a connection is signing out: the next one enters nothing as who left', async ({
  browser,
}) => {
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await context.newPage();
  await signIn(page, 'Ines Okoro');
  const address = await openOwnJob(page);
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  await expect(async () =>
    expect(await page.evaluate(async () => (await caches.keys()).length)).toBeGreaterThan(0),
  ).toPass();
  await context.setOffline(true);
  await page.getByRole('button', { name: /sign out/ }).click();
  await expect(page.getByText('nobody can sign in until it is back')).toBeVisible();
  await page.goto(address);
  await expect(page).toHaveURL(/sign-in/);
  await expect(page.getByRole('group', { name: 'Nameplate' })).toHaveCount(0);
  await context.setOffline(false);
  await page.reload();
  await expect(page.getByRole('button', { name: /Wen Aldous/ })).toBeVisible();
  const { person } = (await (await page.request.get(`${FIRST}/api/session`)).json()) as { person: unknown };
  expect(person).toBeNull();
  await context.close();
});

test('live updates that are refused come back, and say meanwhile that they are not live', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Jory Velde');
  const address = await openOwnJob(page);
  let refused = 0;
  await page.route('**/live?*', (route) => {
    refused++;
    return route.fulfill({ status: 503, body: '' });
  });
  await page.reload();
  await expect(page.getByText('Not live: what others do on this job is not shown')).toBeVisible();
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'Tam Brackley');
  await other.goto(address);
  await addNote(other, 'while it was not live');
  await expect.poll(() => refused).toBeGreaterThan(1);
  await page.unroute('**/live?*');
  await expect(page.getByText('Not live')).toHaveCount(0, { timeout: 30_000 });
  await page.getByRole('button', { name: 'History', exact: true }).click();
  await expect(page.getByText('while it was not live')).toBeVisible();
  await other.context().close();
});

test('an elbow on the keyboard signs nothing', async ({ page }) => {
  await signIn(page, 'Jory Velde');
  const address = await openOwnJob(page);
  const done = async () => (await logOf(page, address)).filter(({ kind }) => kind === 'step-done').length;

  await test.step('Enter held down completes one step and no more', async () => {
    const first = await title(page).innerText();
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    for (let i = 0; i < 12; i++) await page.keyboard.down('Enter');
    await expect(title(page)).not.toHaveText(first);
    // Long after another step is settled: it is the repeat that counts for nothing.
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    for (let i = 0; i < 12; i++) await page.keyboard.down('Enter');
    await page.keyboard.up('Enter');
    await expect.poll(done).toBe(1);
  });

  await test.step('nor held down in a field of the step', async () => {
    const other = await openOwnJob(page);
    const first = await title(page).innerText();
    await inHand(page).getByRole('textbox').first().focus();
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    for (let i = 0; i < 12; i++) await page.keyboard.down('Enter');
    await page.keyboard.up('Enter');
    await expect(title(page)).not.toHaveText(first);
    const doneThere = async () =>
      (await logOf(page, other)).filter(({ kind }) => kind === 'step-done').length;
    await expect.poll(doneThere).toBe(1);
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    expect(await doneThere()).toBe(1);
  });

  await test.step('a second press at once is meant for the step before', async () => {
    await page.goto(address);
    await workTo(page, 'Set down what was reported and what you see');
    const before = await done();
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await expect.poll(done).toBe(before + 1);
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    expect(await done()).toBe(before + 1);
    await workTo(page, /decontamination/);
  });

  await test.step('what opens the valve next takes its own button', async () => {
    const before = await done();
    await expect(inHand(page)).toContainText('By its own button alone, no key');
    await inHand(page).getByRole('textbox').fill('DC 7');
    await page.locator('h2').first().click();
    await press(page, 'Enter');
    await inHand(page).getByRole('textbox').press('Enter');
    await expect(inHand(page)).toContainText('By its own button alone, no key');
    expect(await done()).toBe(before);
    await inHand(page).getByRole('button', { name: 'Done' }).click();
    await expect.poll(done).toBe(before + 1);
  });
});

test('a lock struck takes both signatures along, and who strikes it is told before', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Jory Velde');
  const address = await openOwnJob(page, 'in line');
  await workTo(page, 'Two sign the isolation');
  await test.step('one who hung the locks does not sign as having checked them', async () => {
    await sign(page);
    await expect(inHand(page).getByRole('button', { name: 'Somebody else signs here' })).toBeVisible();
  });
  const second = await (await browser.newContext()).newPage();
  await signIn(second, 'Wen Aldous');
  await second.goto(address);
  await sign(second);
  await expect(title(page)).toHaveText(/Match-mark/);

  await test.step('another’s lock is struck by nobody', async () => {
    await second.getByRole('button', { name: 'History', exact: true }).click();
    const lock = second.locator('.history li', { hasText: 'upstream block valve' }).last();
    await lock.getByRole('button', { name: 'Strike' }).click();
    // Said before a reason is typed, and no reason changes it.
    await expect(second.getByText(/it comes off by the same hand/)).toBeVisible();
    await second.getByLabel('Why it is wrong').fill('tidying up');
    await expect(second.getByRole('button', { name: 'Strike it' })).toBeDisabled();
  });
  await test.step('one’s own is, and the signatures fall with it', async () => {
    await page.getByRole('button', { name: 'History', exact: true }).click();
    const lock = page.locator('.history li', { hasText: 'upstream block valve' }).last();
    await lock.getByRole('button', { name: 'Strike' }).click();
    await expect(lock).toContainText(/Is lock .* off the valve\?/);
    await expect(lock).toContainText(/fall with it.*by Jory Velde.*by Wen Aldous/);
    await page.getByLabel('Why it is wrong').fill('wrong number written down');
    await page.getByRole('button', { name: 'Strike it' }).click();
    await expect(title(page)).toHaveText(/Shut, lock and tag the upstream/);
    await expect(page.locator('#step-isolate\\.sign')).toHaveClass(/waits/);
    await expect(page.locator('#step-strip\\.match-mark')).toHaveClass(/waits/);
  });
  await second.context().close();
});
