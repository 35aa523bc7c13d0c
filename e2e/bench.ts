import { expect, type Browser, type Page } from '@playwright/test';

export const FIRST = 'http://127.0.0.1:4791';
export const SECOND = 'http://127.0.0.1:4792';

/** Signs a person in; everybody in the demo has the same PIN. */
export async function signIn(page: Page, name: string, server = FIRST): Promise<void> {
  await page.goto(`${server}/sign-in`);
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await page.getByLabel(/^PIN of/).fill('2468');
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
      await page.keyboard.press(' ');
    await step.getByRole('button', { name: 'Packing done' }).click();
  } else if ((await step.locator('.measure').count()) > 0) {
    for (const field of await step.getByRole('textbox').all()) {
      const example = (await field.getAttribute('placeholder'))?.replace('such as ', '') ?? '';
      const id = (await field.getAttribute('id')) ?? '';
      const label = await page.locator(`label[for="${id}"]`).first().innerText();
      await field.fill(MEASURED[label.trim()] ?? example);
      await field.press('Enter');
    }
  } else throw new Error(`“${before}” has to be done on purpose`);
  await expect(title(page)).not.toHaveText(before);
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
    await page.keyboard.press('Enter');
    if (i + 1 < count) await expect(row.locator('.fit, svg').first()).toBeVisible();
  }
}

/** A second person, on a screen of their own, checks an isolation and signs it. */
export async function checkIsolation(browser: Browser, tag: string, name: string): Promise<void> {
  const context = await browser.newContext();
  const second = await context.newPage();
  await signIn(second, name, SECOND);
  await openJob(second, tag);
  await inHand(second).getByRole('button', { name: 'Sign' }).click();
  await expect(inHand(second).getByRole('button', { name: 'Sign' })).toHaveCount(0);
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
  await page.keyboard.press(' ');
  await expect(
    inHand(page)
      .getByText(/TIR .*limit/)
      .first(),
  ).toBeVisible({ timeout: 30_000 });
  await page.keyboard.press('Enter');
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
  await page.keyboard.press(' ');
  const verdict = inHand(page).locator('.verdict');
  await expect(verdict).toBeVisible({ timeout: 60_000 });
  const words = await verdict.innerText();
  await page.keyboard.press('Enter');
  await expect(title(page)).not.toHaveText(heading);
  return words;
}

/** An inspector, on a screen of their own, releases the hold that is in hand on this job. */
export async function releaseHold(browser: Browser, tag: string): Promise<void> {
  const context = await browser.newContext();
  const inspector = await context.newPage();
  await signIn(inspector, 'Noor Castellane');
  await openJob(inspector, tag);
  await inHand(inspector)
    .getByRole('button', { name: /release the hold/ })
    .click();
  await expect(title(inspector)).not.toHaveText(/^Hold/);
  await context.close();
}
