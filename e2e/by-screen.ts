import { expect, type Locator, type Page } from '@playwright/test';
import { inHand, press, ringsIn, title } from './bench';

/** The step in hand done on the screen, by its own buttons and fields; then another one is in hand. */
async function andOn(page: Page, work: (step: Locator) => Promise<void>): Promise<void> {
  const before = await title(page).innerText();
  await work(inHand(page));
  await expect(title(page)).not.toHaveText(before);
}

export const done = (page: Page) => andOn(page, (step) => step.getByRole('button', { name: 'Done' }).click());

export const soundLook = (page: Page) => andOn(page, (step) => step.getByRole('radio').first().click());

export const oneGrit = (page: Page) =>
  andOn(page, async (step) => {
    await step.getByRole('button', { name: 'Log this grit' }).click();
    await step.getByRole('button', { name: /Round done/ }).click();
  });

export const ringByRing = (page: Page) =>
  andOn(page, async (step) => {
    await ringsIn(page, () => press(page, ' '));
    await step.getByRole('button', { name: 'Packing done' }).click();
  });

/** Types figures by their labels, each kept with Enter. */
export const measured = (page: Page, figures: Readonly<Record<string, string>>) =>
  andOn(page, async (step) => {
    for (const [label, figure] of Object.entries(figures)) {
      const field = step.getByLabel(label, { exact: true });
      await field.fill(figure);
      await expect(step).not.toHaveClass(/fresh/);
      await field.press('Enter');
    }
  });

export const lockHung = (page: Page, lock: string) =>
  andOn(page, async (step) => {
    await step.getByLabel('Lock number').fill(lock);
    await step.getByLabel('Tag number').fill('T 1');
    await step.getByRole('button', { name: /Shut, locked/ }).click();
  });
