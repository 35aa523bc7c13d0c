import { expect, test, type Page } from '@playwright/test';
import { nothingSerious } from './axe';
import { signIn } from './bench';
import { ownShop } from './own-shop';
import { tooSmall } from './sizes';

/** A shutdown, from the list of its valves to their jobs. */

const shop = ownShop();

/** A day of the month after next: what is on the benches is over by then, and leaves room. */
async function pickDay(page: Page, label: string, day: number): Promise<void> {
  await page.getByLabel(label).click();
  const calendar = page.getByRole('group', { name: label });
  const now = new Date();
  const wanted = new Date(Date.UTC(now.getFullYear(), now.getMonth() + 2, day)).toISOString().slice(0, 10);
  await expect(async () => {
    await calendar.getByRole('button', { name: 'Next month' }).click();
    await calendar.locator(`[data-v-date="${wanted}"]`).click({ timeout: 1000 });
  }).toPass();
  await expect(page.locator('.calendar')).toBeHidden();
}

test('an outage out of a file: what fits, what stays and why, what it takes, its jobs opened', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await signIn(page, 'Petra Lundholm', shop.url);
  await page.goto(`${shop.url}/week`);
  await page.getByRole('link', { name: 'Outages' }).click();
  await page.getByRole('button', { name: 'A new outage' }).click();
  const name = `Stop ${crypto.randomUUID().slice(0, 6)}`;
  await test.step('its valves are found in the register, and what is none is said', async () => {
    await page.getByLabel('Called').fill(name);
    await pickDay(page, 'First day', 4);
    await pickDay(page, 'Last day', 20);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a file' }).click();
    const csv = 'tag;customer\nNR-40;\nGT-52;\nWF-26;\nNOPE-1;\nDH-118;';
    await (await chooser).setFiles({ name: 'stop.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await expect(page.getByText('no such valve in the register')).toBeVisible();
    await nothingSerious(page);
    await page.getByRole('button', { name: 'Take 4 rows, leave 1' }).click();
    await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  });
  const within = page.getByRole('region', { name: 'In the window' });
  await test.step('what fits stands by its risk, with what it takes out of the store', async () => {
    await expect(within.getByRole('link', { name: 'NR-40' })).toBeVisible({ timeout: 60_000 });
    // A job is open on it in the shop already: it is in the week, and not in the list of what is to be opened.
    await expect(page.getByRole('region', { name: 'On a bench already' })).toContainText('DH-118');
    await expect(page.getByRole('region', { name: 'Kits and parts' })).toContainText('bonnet gasket');
    await nothingSerious(page);
  });
  await test.step('one is left out by hand, and asked for again', async () => {
    await page.getByRole('button', { name: 'Leave WF-26 out' }).click();
    const out = page.getByRole('region', { name: 'Left out by hand' });
    await expect(out.getByRole('link', { name: 'WF-26' })).toBeVisible();
    await page.getByRole('button', { name: 'Ask for WF-26 again' }).click();
    await expect(out).toHaveCount(0);
    await page.getByRole('button', { name: 'Leave WF-26 out' }).click();
    await expect(out).toBeVisible();
  });
  await test.step('on a phone nothing runs off the side, and all is as large as a finger', async () => {
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await tooSmall(page)).toEqual([]);
    await page.setViewportSize({ width: 1280, height: 800 });
  });
  await test.step('its jobs are opened in one go, and nothing of them is begun before it', async () => {
    // What was left out has the plan tried anew, valve by valve.
    await page.getByRole('button', { name: /^Open \d jobs?$/ }).click({ timeout: 60_000 });
    await expect(page.getByText(/jobs? opened, not begun before/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'On a bench already' })).toContainText('NR-40');
    const { jobs } = (await (await page.request.get(`${shop.url}/api/week`)).json()) as {
      jobs: { tag: string; hard: boolean; notBefore: string | null; due: string }[];
    };
    const own = jobs.find(({ tag }) => tag === 'NR-40');
    expect(own?.hard).toBe(true);
    expect(own?.notBefore && own.notBefore < own.due).toBe(true);
  });
  await test.step('off the list, its jobs stay', async () => {
    await page.goto(`${shop.url}/week/outages`);
    const line = page.getByRole('listitem').filter({ hasText: name });
    await line.getByRole('button', { name: 'Take it off' }).click();
    await line.getByRole('button', { name: 'Yes, off the list; its jobs stay' }).click();
    await expect(line).toHaveCount(0);
    const found = await page.request.get(`${shop.url}/api/jobs?state=open&q=NR-40`);
    expect(((await found.json()) as { jobs: unknown[] }).jobs).toHaveLength(1);
  });
});

test('who is no lead reads an outage and opens nothing', async ({ page }) => {
  await signIn(page, 'Wen Aldous', shop.url);
  await page.goto(`${shop.url}/week/outages`);
  await expect(page.getByRole('button', { name: 'A new outage' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Water injection, two-day stop' }).click();
  await expect(page.getByRole('region', { name: 'Kits and parts' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Open \d/ })).toHaveCount(0);
});
