import { expect, type Browser, type Locator, type Page } from '@playwright/test';

/** The two servers of the journeys, on whatever ports they took: see `start-servers.ts`. */
export const FIRST = process.env['DW_FIRST'] ?? '';
export const SECOND = process.env['DW_SECOND'] ?? '';
/** Their database, for what no page can do. */
export const DATABASE = process.env['DW_DATABASE'] ?? '';
const PIN = '2468';

/** Signs a person in; everybody in the demo has the same PIN. */
export async function signIn(page: Page, name: string, server = FIRST): Promise<void> {
  await page.goto(`${server}/sign-in`);
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await page.getByLabel(/^PIN of/).fill(PIN);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible();
}

/** Opens a job from the floor by its tag. */
export async function openJob(page: Page, tag: string): Promise<void> {
  await page.getByRole('link', { name: new RegExp(tag) }).click();
  await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText(tag);
  await expect(page.locator('.in-hand, .signed').first()).toBeVisible();
}

export const inHand = (page: Page) => page.locator('#in-hand');
export const title = (page: Page) => inHand(page).getByRole('heading', { level: 2 });

/** A key of the bench, once the step in hand has stood long enough to take one. */
export async function press(page: Page, key: string): Promise<void> {
  await expect(inHand(page)).not.toHaveClass(/fresh/);
  await page.keyboard.press(key);
}

/** Signs what is in hand: its own button, then the PIN again. */
export async function sign(page: Page, button: string | RegExp = 'Sign'): Promise<void> {
  const step = inHand(page);
  await step
    .getByRole('button', { name: button, exact: typeof button === 'string' })
    .first()
    .click();
  await step.getByLabel(/^PIN of .*, to sign/).fill(PIN);
  await step.getByRole('button', { name: 'Sign it' }).click();
}

/** What this shop's globes measure; anything else is taken as its own example says. */
const MEASURED: Readonly<Record<string, string>> = {
  'stem diameter': '1 1/8 in',
  'box bore': '1 7/8 in',
  'box depth': '3 in',
  'gland entry': '5/16 in',
};

/** Every lock has a number of its own. */
let locksHung = 0;

/** Does the step in hand in its plainest way, and waits until another one is in hand. */
export async function workPlainly(page: Page): Promise<void> {
  const before = await title(page).innerText();
  const step = inHand(page);
  if ((await step.locator('.do').count()) > 0) {
    const number = step.getByLabel('The number of');
    if ((await number.count()) > 0) await number.fill('DC 71');
    await step.getByRole('button', { name: 'Done' }).click();
  } else if ((await step.locator('.stands').count()) > 0)
    await step.getByRole('button', { name: 'So it stands' }).click();
  else if ((await step.locator('.makers').count()) > 0)
    await step.getByRole('button', { name: 'No sheet at hand' }).click();
  else if ((await step.locator('.spares').count()) > 0)
    await step.getByRole('button', { name: 'Laid out, compared' }).click();
  else if ((await step.locator('.marks').count()) > 0) await setMarks(page);
  else if ((await step.locator('.place').count()) > 0)
    await step.getByRole('button', { name: 'No fault: routine' }).click();
  else if ((await step.locator('.lock').count()) > 0) {
    if ((await step.getByLabel('Lock number').count()) > 0) {
      await step.getByLabel('Lock number').fill(`L ${++locksHung}`);
      await step.getByLabel('Tag number').fill('T 1');
    }
    await step.getByRole('button', { name: /Shut, locked|Lock off/ }).click();
  } else if ((await step.locator('.look').count()) > 0) {
    await step.getByRole('radio').first().click();
    await step.getByRole('button', { name: 'Take the call' }).click();
  } else if ((await step.locator('.lapping').count()) > 0) {
    await step.getByRole('button', { name: 'Log this grit' }).click();
    await step.getByRole('button', { name: /Round done/ }).click();
  } else if ((await step.locator('.packing').count()) > 0) {
    for (
      let ring = 0;
      ring < 20 && (await step.getByRole('button', { name: 'Packing done' }).count()) === 0;
      ring++
    )
      await press(page, ' ');
    await step.getByRole('button', { name: 'Packing done' }).click();
  } else if ((await step.locator('.measure').count()) > 0) {
    for (const field of await step.getByRole('textbox').all()) {
      const example = (await field.getAttribute('placeholder'))?.replace('such as ', '') ?? '';
      const id = (await field.getAttribute('id')) ?? '';
      const label = await page.locator(`label[for="${id}"]`).first().innerText();
      await field.fill(MEASURED[label.trim()] ?? example);
      await keepField(page, field);
    }
  } else throw new Error(`“${before}” has to be done on purpose`);
  await expect(title(page)).not.toHaveText(before);
}

/** Keeps the figure typed into a field: by Enter, or by its button where a key would let pressure in. */
async function keepField(page: Page, field: Locator): Promise<void> {
  if ((await inHand(page).getAttribute('class'))?.includes('deliberate'))
    await field
      .locator('xpath=ancestor::*[contains(concat(" ", @class, " "), " ask ")]')
      .getByRole('button', { name: 'Keep' })
      .click();
  else {
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    await field.press('Enter');
  }
}

/** Somebody who did none of the work signs the certificate, on a screen of their own. */
export async function signCertificate(browser: Browser, tag: string, name: string): Promise<void> {
  const context = await browser.newContext();
  const other = await context.newPage();
  await signIn(other, name, SECOND);
  await openJob(other, tag);
  await sign(other);
  await expect(other.locator('.signed')).toBeVisible();
  await context.close();
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

/** A second person, on a screen of their own, checks an isolation and signs it. */
export async function checkIsolation(browser: Browser, tag: string, name: string): Promise<void> {
  const context = await browser.newContext();
  const second = await context.newPage();
  await signIn(second, name, SECOND);
  await openJob(second, tag);
  await sign(second);
  await expect(inHand(second).getByRole('button', { name: 'Sign', exact: true })).toHaveCount(0);
  await context.close();
}

/** Works plainly until a step with this title is in hand. */
export async function workTo(page: Page, wanted: string | RegExp): Promise<void> {
  for (let i = 0; i < 90; i++) {
    const now = await title(page).innerText();
    if (typeof wanted === 'string' ? now === wanted : wanted.test(now)) return;
    await workPlainly(page);
  }
  throw new Error(`never came to ${String(wanted)}`);
}

/** Turns the stem under the simulated dial and keeps its runout. */
export async function takeRunout(page: Page): Promise<void> {
  const heading = await title(page).innerText();
  await press(page, ' ');
  await expect(
    inHand(page)
      .getByText(/TIR .*limit/)
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

/** An inspector, on a screen of their own, releases the hold that is in hand on this job. */
export async function releaseHold(browser: Browser, tag: string): Promise<void> {
  const context = await browser.newContext();
  const inspector = await context.newPage();
  await signIn(inspector, 'Noor Castellane');
  await openJob(inspector, tag);
  await sign(inspector, /release the hold/);
  await expect(title(inspector)).not.toHaveText(/^Hold/);
  await context.close();
}
