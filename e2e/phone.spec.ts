import { expect, test } from '@playwright/test';
import { inHand, signIn, title } from './bench';
import { openOwnJob } from './own-job';
import { workTo } from './plain';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test('on a phone, with a thumb: figures by our own keys, the tray and the drawing as sheets', async ({
  page,
}) => {
  await signIn(page, 'Ines Okoro');
  await openOwnJob(page);
  const first = await title(page).innerText();
  await expect(inHand(page)).not.toHaveClass(/fresh/);
  await inHand(page).getByRole('button', { name: 'Done' }).tap();
  await expect(title(page)).not.toHaveText(first);

  await test.step('a sound part is one touch', async () => {
    await workTo(page, 'Gland flange');
    await inHand(page).getByRole('radio').first().tap();
    await expect(title(page)).not.toHaveText('Gland flange');
  });

  await test.step('a figure is typed without the phone’s own keyboard, in another unit by one touch', async () => {
    await workTo(page, 'Measure stem and stuffing box');
    const field = inHand(page).getByLabel('stem diameter', { exact: true });
    await expect(field).toHaveAttribute('inputmode', 'none');
    await field.tap();
    const keys = inHand(page).getByRole('group', { name: 'Keys for stem diameter' });
    for (const key of ['2', '8', 'point', '6'])
      await keys.getByRole('button', { name: key, exact: true }).tap();
    await inHand(page).getByRole('radio', { name: 'mm', exact: true }).tap();
    await expect(field).toHaveValue('28.6');
    await inHand(page).getByRole('button', { name: 'Keep', exact: true }).tap();
    await expect(inHand(page).getByText('28.6 mm').or(inHand(page).getByText('1.126 in'))).toBeVisible();
  });

  await test.step('ten times what is usual is asked about, and kept only then', async () => {
    const field = inHand(page).getByLabel('box bore', { exact: true });
    await field.fill('190 in');
    await expect(inHand(page).getByText(/times what is usual here/)).toBeVisible();
    await expect(inHand(page).getByRole('button', { name: /^Keep/ })).toBeDisabled();
    await field.fill('-2 in');
    await expect(inHand(page).getByText(/more than 0/)).toBeVisible();
    await field.fill('1 7/8 in');
    await inHand(page).getByRole('button', { name: 'Keep', exact: true }).tap();
    await expect(inHand(page).getByText('1 7/8 in')).toBeVisible();
  });

  await test.step('the tray comes up from the bottom, and a part of it opens the drawing', async () => {
    await inHand(page).getByRole('button', { name: 'See the tray' }).tap();
    const sheet = page.getByRole('dialog', { name: 'The tray' });
    await expect(sheet).toBeVisible();
    await sheet.getByRole('button', { name: 'bonnet', exact: true }).tap();
    const drawing = page.getByRole('dialog', { name: 'Measure stem and stuffing box' });
    await expect(drawing.getByRole('button', { name: /, bonnet: / })).toHaveAttribute('aria-pressed', 'true');
    await drawing.getByRole('button', { name: 'Put it away' }).tap();
    await expect(drawing).toBeHidden();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
