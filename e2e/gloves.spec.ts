import { expect, test, type Page } from '@playwright/test';
import { inHand, openSheet, signIn, title } from './bench';
import { measured, soundLook } from './by-screen';
import { logOf, openOwnJob } from './own-job';
import { workTo } from './plain';

/** A desk, a small screen, a phone, and a desk at twice the size. */
const SCREENS = [
  [1280, 800],
  [1024, 768],
  [390, 844],
  [640, 400],
] as const;

/** The first button of the bar lies whole between the top of the screen and the rail at its foot. */
async function barIsSeen(page: Page): Promise<void> {
  for (const [width, height] of SCREENS) {
    await page.setViewportSize({ width, height });
    const button = inHand(page).locator('.bar button').first();
    await expect(button).toBeInViewport({ ratio: 1 });
    const box = await button.boundingBox();
    const rail = await page.locator('.side-rail').boundingBox();
    const foot = width <= 700 ? (rail?.y ?? height) : height;
    expect((box?.y ?? height) + (box?.height ?? 0), `${width} × ${height}`).toBeLessThanOrEqual(foot);
    expect(box?.height ?? 0, `${width} × ${height}`).toBeGreaterThanOrEqual(48);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
}

test('the buttons of a step are on the screen at every width, and a hold shows what is to be seen', async ({
  page,
}) => {
  await signIn(page, 'Ines Okoro');
  await openOwnJob(page);
  await barIsSeen(page);
  await workTo(page, 'Joint face of the bonnet');
  await barIsSeen(page);
  await soundLook(page);
  await workTo(page, 'Measure stem and stuffing box');
  await barIsSeen(page);
  await measured(page, {
    'stem diameter': '1 1/8 in',
    'smallest in the packing': '1 1/8 in',
    'box bore': '1 7/8 in',
    'box depth': '3 in',
    'gland entry': '5/16 in',
  });
  await workTo(page, /^Blue the disc/);
  await barIsSeen(page);
  const keep = inHand(page).getByRole('button', { name: 'Keep this check' });
  await expect(keep).toBeDisabled();
  await expect(keep).toContainText('mark what the blue shows');
  await workTo(page, /^Hold: contact/);
  const hold = inHand(page);
  await expect(hold.getByRole('heading', { name: 'Calls that are not “fit”' })).toBeVisible();
  await expect(hold.getByRole('img', { name: 'The blue line on the seat' }).first()).toBeVisible();
  await expect(hold.getByText(/as (found|left)/).first()).toBeVisible();
});

test('a slip is taken back with one press, and what is half typed is there again', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  const job = await openOwnJob(page);
  const first = await title(page).innerText();

  await test.step('one press strikes it, with its reason made by itself', async () => {
    await inHand(page).getByRole('button', { name: 'Done' }).click();
    await expect(title(page)).not.toHaveText(first);
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(title(page)).toHaveText(first);
    await expect.poll(async () => (await logOf(page, job)).at(-1)?.kind).toBe('entry-struck');
  });

  await test.step('a note, the tab and the ticks on the fetch list outlive other pages and a reload', async () => {
    await inHand(page).getByLabel(/^Note/).fill('plate painted over');
    await page.getByRole('button', { name: 'Choices', exact: true }).click();
    await openSheet(page, 'Fetch list');
    const tick = page.getByRole('checkbox').first();
    await tick.check();
    await page.reload();
    await expect(tick).toBeChecked();
    await page.getByRole('link', { name: 'Back to the bench' }).click();
    await expect(inHand(page).getByLabel(/^Note/)).toHaveValue('plate painted over');
    await expect(page.getByRole('button', { name: 'Choices', exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
  });

  await test.step('by keyboard: the step is the first stop, tabs are one stop with arrows, Escape closes', async () => {
    await page.reload();
    await expect(title(page)).toBeVisible();
    await expect(title(page)).toBeFocused();
    await page.keyboard.press('Tab');
    await expect(inHand(page).locator(':focus')).toHaveCount(1);
    await page.getByRole('link', { name: 'To the work' }).focus();
    await page.keyboard.press('Enter');
    await expect(title(page)).toBeFocused();
    await page.getByRole('button', { name: 'Choices', exact: true }).focus();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByRole('button', { name: 'Kit', exact: true })).toBeFocused();
    await page.getByText('Sheets', { exact: true }).click();
    await expect(page.getByRole('link', { name: 'Fetch list' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('link', { name: 'Fetch list' })).toBeHidden();
  });

  await test.step('a stray letter that turns the units over is said, and undone by a press', async () => {
    await page.keyboard.press('u');
    await expect(page.getByText('Units: SI.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Units US: switch' })).toBeVisible();
  });
});
