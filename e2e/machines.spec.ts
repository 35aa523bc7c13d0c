import { expect, test } from '@playwright/test';
import { eventsView } from '@dusk-wren/contract/machines';
import { nothingSerious } from './axe';
import { FIRST, signIn } from './bench';
import { tooSmall } from './sizes';

test('another program comes with a token: its work order waits, is received as a job, and it reads what became of it', async ({
  page,
  playwright,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Petra Lundholm');
  await page.goto(`${FIRST}/setup?view=machines`);
  const machines = page.getByRole('region', { name: 'Machines', exact: true });
  const secret = await test.step('a lead makes a token; it is shown once', async () => {
    await machines.getByLabel('Program that a token is for').fill('Refinery planning');
    await machines.getByLabel(/^orders:/).check();
    await machines.getByLabel(/^events:/).check();
    await machines.getByRole('button', { name: 'Make a token' }).click();
    const slip = page.getByRole('region', { name: 'A secret, shown once' });
    const told = await slip.locator('output').innerText();
    await nothingSerious(page);
    await slip.getByRole('button', { name: 'I have put it there' }).click();
    await expect(machines.getByRole('listitem').filter({ hasText: 'Refinery planning' })).toContainText(
      'never used',
    );
    await expect(page.getByText(told)).toHaveCount(0);
    return told;
  });
  await test.step('an address is told of what happens; one that cannot be reached is tried again', async () => {
    await machines.getByLabel('Address that is told').fill('http://planning.example/told');
    await machines.getByLabel('order refused').check();
    await machines.getByRole('button', { name: 'Tell it from now on' }).click();
    await page.getByRole('button', { name: 'I have put it there' }).click();
    await expect(machines.getByRole('listitem').filter({ hasText: 'planning.example' })).toContainText(
      'told nothing yet',
    );
    await page.setViewportSize({ width: 390, height: 844 });
    await expect.poll(() => tooSmall(page)).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.setViewportSize({ width: 1280, height: 800 });
  });
  const program = await playwright.request.newContext({
    baseURL: FIRST,
    extraHTTPHeaders: { authorization: `Bearer ${secret}` },
  });
  const order = (tag: string, reported: string) => ({
    tag,
    reported,
    due: '2027-02-10',
    customer: 'Tarn Quay works',
  });
  await test.step('the program hands two orders in, the first of them twice', async () => {
    for (const number of ['WO-1041', 'WO-1041'])
      expect(
        (
          await program.put(`/api/work-orders/${number}`, { data: order('TQ-4', 'passes when shut') })
        ).status(),
      ).toBe(200);
    await program.put('/api/work-orders/WO-1042', { data: order('TQ-5', 'not ours at all') });
    expect((await program.get('/api/jobs')).status()).toBe(403);
  });
  await test.step('one is received, by what it says and its plate; the other refused', async () => {
    await page.goto(`${FIRST}/jobs/new`);
    const waiting = page.getByRole('region', { name: 'Work orders' });
    const first = waiting.getByRole('listitem').filter({ hasText: 'WO-1041' });
    await expect(first).toContainText('TQ-4 is not on file');
    await nothingSerious(page);
    await first.getByRole('button', { name: 'It is here' }).click();
    await expect(page.getByLabel('What was reported')).toHaveValue('passes when shut');
    await expect(page.getByText('Opened for work order WO-1041 of Refinery planning.')).toBeVisible();
    const second = waiting.getByRole('listitem').filter({ hasText: 'WO-1042' });
    await second.getByRole('button', { name: 'Refuse it' }).click();
    await second.getByLabel('Why, for whoever sent it').fill('another shop’s valve');
    await second.getByRole('button', { name: 'Refuse it' }).click();
    await expect(second).toHaveCount(0);
    await expect(first).toBeVisible();
    await page.setViewportSize({ width: 390, height: 844 });
    await expect.poll(() => tooSmall(page)).toEqual([]);
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.getByLabel('Where it sits').fill('pan house, ground floor');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}$/);
  });
  await test.step('the program reads what became of them, and the lead what was told', async () => {
    const taken = await program.get('/api/work-orders/WO-1041');
    expect(await taken.json()).toMatchObject({
      state: 'taken',
      job: new URL(page.url()).pathname.split('/').at(-1),
    });
    const said = await program.get('/api/work-orders/WO-1042');
    expect(await said.json()).toMatchObject({ state: 'refused', why: 'another shop’s valve' });
    const { events } = eventsView.parse(await (await program.get('/api/events')).json());
    expect(events.filter(({ order: its }) => its?.startsWith('WO-10')).map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['order refused', 'order taken', 'job opened']),
    );
    await page.goto(`${FIRST}/setup?view=machines`);
    await page.getByText(/^What was told/).click();
    await expect(page.getByRole('row', { name: /order refused, TQ-5/ })).toContainText(
      'it could not be reached',
      { timeout: 20_000 },
    );
    await page
      .getByRole('listitem')
      .filter({ hasText: 'planning.example' })
      .getByRole('button', { name: 'Tell it nothing more' })
      .click();
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Refinery planning' })
      .getByRole('button', { name: 'End it' })
      .click();
    await expect(machines.getByRole('listitem').filter({ hasText: 'Refinery planning' })).toContainText(
      'ended',
    );
    expect((await program.get('/api/events')).status()).toBe(401);
  });
});

test('what other programs may ask is read on a page that ships with the application', async ({ page }) => {
  await signIn(page, 'Petra Lundholm');
  await page.goto(`${FIRST}/setup?view=machines`);
  await page.getByRole('link', { name: /for other programs/ }).click();
  await expect(page.getByRole('heading', { name: 'For other programs' })).toBeVisible();
  await page.getByLabel(/^Find/).fill('work order');
  await expect(page.locator('.way-card')).toHaveCount(5);
  const put = page.locator('.way-card', { hasText: 'Hands a work order in' });
  await put.locator('summary').first().click();
  await expect(put).toContainText('For a token for orders');
  await expect(put.getByText('reported', { exact: true }).first()).toBeVisible();
  await nothingSerious(page);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expect.poll(() => tooSmall(page)).toEqual([]);
});
