import { expect, type Page } from '@playwright/test';

/** Which of the shops that run side by side is this journey's: see `start-servers.ts`. */
const SHOP = process.env['TEST_PARALLEL_INDEX'] ?? '0';
/** The two servers of the journeys, on whatever ports they took. */
export const FIRST = process.env[`DW_FIRST_${SHOP}`] ?? '';
export const SECOND = process.env[`DW_SECOND_${SHOP}`] ?? '';
/** Their database, for what no page can do. */
export const DATABASE = process.env[`DW_DATABASE_${SHOP}`] ?? '';
/** One that stays as the demo left it, for a journey that wants a shop of its own. */
export const DEMO = process.env['DW_DEMO'] ?? '';
/** Where their back-ups lie. */
export const BACKUPS = process.env[`DW_BACKUPS_${SHOP}`] ?? '';
/** Where rigs leave their recordings. */
export const DROPS = process.env[`DW_DROPS_${SHOP}`] ?? '';
/** Everybody in the demo has the same. */
export const PIN = '2468';

/** Signs a person in. */
export async function signIn(page: Page, name: string, server = FIRST): Promise<void> {
  await page.goto(`${server}/sign-in`);
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await page.getByLabel(/^PIN of/).fill(PIN);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible();
}

/** Opens a job from the floor by its tag. */
export async function openJob(page: Page, tag: string): Promise<void> {
  await page.getByRole('button', { name: 'On benches' }).click();
  await page
    .locator('.rows')
    .getByRole('link', { name: new RegExp(tag) })
    .click();
  await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText(tag);
  await expect(page.locator('.in-hand, .signed').first()).toBeVisible();
}

/** Opens one of the papers of the job that is open. */
export async function openSheet(page: Page, name: string): Promise<void> {
  await page.getByText('Sheets', { exact: true }).click();
  await page.getByRole('link', { name, exact: true }).click();
}

export const inHand = (page: Page) => page.locator('#in-hand');
export const title = (page: Page) => inHand(page).getByRole('heading', { level: 2 });

/** A hand is on a key for so long at least; what comes faster is a gauge’s, where one types into this shop. */
export const ON_A_KEY_MILLISECONDS = 40;

/** A key of the bench, once the step in hand has stood long enough to take one. */
export async function press(page: Page, key: string): Promise<void> {
  await expect(inHand(page)).not.toHaveClass(/fresh/);
  await page.keyboard.press(key, { delay: ON_A_KEY_MILLISECONDS });
}

/** Ring after ring by its key, each seen to be in before the next, until none is left. */
export async function ringsIn(page: Page, ring: () => Promise<void>): Promise<void> {
  const next = inHand(page).getByRole('button', { name: /^Ring \d+ in$/ });
  while ((await next.count()) > 0) {
    const words = await next.innerText();
    await ring();
    await expect(inHand(page).getByRole('button', { name: words, exact: true })).toBeHidden();
  }
}

/** Signs what is in hand: its own button, then the PIN again. */
export async function sign(page: Page, button: string | RegExp = /^Sign as /, pin = PIN): Promise<void> {
  const step = inHand(page);
  await step
    .getByRole('button', { name: button, exact: typeof button === 'string' })
    .first()
    .click();
  await step.getByLabel(/^PIN of .*, to sign/).fill(pin);
  await step.getByRole('button', { name: 'Sign it' }).click();
}

/** Sets every match mark: where it stood before, or by the hours in turn. */
export async function setMarks(page: Page): Promise<void> {
  const rows = inHand(page).locator('.marks li button');
  const count = await rows.count();
  for (let i = 0; i < count; i++) {
    const row = rows.nth(i);
    await row.click();
    const was = /was ([\d.]+)/.exec(await row.innerText())?.[1];
    await inHand(page)
      .getByRole('textbox')
      .fill(`${was ?? 2 + i} o'clock`);
    await inHand(page).getByRole('button', { name: 'Keep this mark' }).click();
    if (i + 1 < count) await expect(row.locator('.fit, svg').first()).toBeVisible();
  }
}

/** Turns the stem under the simulated dial and keeps its runout. */
export async function takeRunout(page: Page): Promise<void> {
  const heading = await title(page).innerText();
  await press(page, ' ');
  await expect(
    inHand(page)
      .getByText(/TIR.*limit/)
      .first(),
  ).toBeVisible({ timeout: 30_000 });
  await press(page, 'Enter');
  await expect(title(page)).not.toHaveText(heading);
}

/** Bolts up with the simulated wrench until the step is done. */
export async function boltUp(page: Page): Promise<void> {
  const heading = await title(page).innerText();
  await page.keyboard.press('w');
  await expect(title(page)).not.toHaveText(heading, { timeout: 60_000 });
}

/** Runs a pressure test on the simulated rig and keeps it. */
export async function pressureTest(page: Page): Promise<string> {
  const heading = await title(page).innerText();
  await inHand(page).getByRole('button', { name: 'Pump up' }).click();
  const verdict = inHand(page).locator('.verdict');
  await expect(verdict).toBeVisible({ timeout: 60_000 });
  const words = await verdict.innerText();
  await inHand(page).getByRole('button', { name: /^Keep/ }).click();
  await expect(title(page)).not.toHaveText(heading);
  return words;
}

/** Somebody else signs at this screen, by name and PIN. */
export async function signHere(page: Page, who: RegExp): Promise<void> {
  await inHand(page).getByRole('button', { name: 'Somebody else signs here' }).click();
  await inHand(page).getByRole('button', { name: who }).first().click();
  await inHand(page)
    .getByLabel(/^PIN of .*, to sign/)
    .fill(PIN);
  await inHand(page).getByRole('button', { name: 'Sign it' }).click();
}
