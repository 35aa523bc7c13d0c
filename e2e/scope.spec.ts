import { expect, test } from '@playwright/test';
import { checkIsolation, releaseHold, signCertificate } from './another-screen';
import { inHand, sign, signIn, title } from './bench';
import { measured } from './by-screen';
import { openOwnJob } from './own-job';
import { workPlainly, workTo } from './plain';

/** The job is cut to its gland: packed where it stands, and leak-free in service. */
test('a weeping gland repacked in its line: cut to it, isolated by two, a leak seen and then none', async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000);
  await signIn(page, 'Ines Okoro');
  await openOwnJob(page, 'in line');

  await test.step('the plan is cut to a repack, and says what nobody looks at', async () => {
    await page.getByRole('button', { name: 'Choices', exact: true }).click();
    await page.getByRole('combobox', { name: 'For something else' }).click({ force: true });
    await page.getByRole('option', { name: 'repack', exact: true }).click();
    await expect(page.getByText(/That leaves unlooked at: .*trim and seat/)).toBeVisible();
    await page.getByLabel('Why', { exact: true }).fill('only the gland weeps');
    await page.getByRole('button', { name: 'Cut the plan to it' }).click();
    await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText('repack:');
    await expect(page.locator('[id="step-strip.packing"]')).toBeVisible();
    await expect(page.locator('[id="step-strip.bonnet-nuts"]')).toHaveCount(0);
  });
  await test.step('two sign the isolation; the gland goes up along the stem', async () => {
    await workTo(page, 'Two sign the isolation');
    await sign(page);
    await checkIsolation(browser, page, 'Wen Aldous');
    await workTo(page, 'Gland and flange up along the stem, wired clear of the box');
    await workTo(page, 'Hold: the call on every part');
    await releaseHold(browser, page);
    await expect(title(page)).not.toHaveText(/^Hold/);
  });
  await test.step('restored by two; a leak keeps the step open, none lets it go on', async () => {
    await workTo(page, 'Two sign the isolation off');
    await sign(page);
    await checkIsolation(browser, page, 'Wen Aldous');
    await workTo(page, /^Every opened joint, gland/);
    await inHand(page).getByLabel('leaks seen', { exact: true }).fill('1 piece');
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    await inHand(page).getByLabel('leaks seen', { exact: true }).press('Enter');
    await expect(inHand(page).getByRole('alert')).toContainText('Put it right and take it again');
    await measured(page, { 'line pressure': '88 psig', 'leaks seen': '0 pieces' });
    await workTo(page, 'Hold: witness the test');
    await releaseHold(browser, page);
    await expect(title(page)).not.toHaveText(/^Hold/);
    await workPlainly(page);
    await signCertificate(browser, page, 'Petra Lundholm');
  });
  await test.step('the certificate says what it was for, and what nobody looked at until when', async () => {
    await page.getByRole('link', { name: 'Open it' }).click();
    await expect(page.getByRole('heading', { name: 'Certificate: repack' })).toBeVisible();
    await expect(page.getByText(/only the gland weeps/)).toBeVisible();
    await expect(page.getByText(/trim and seat, body; by \w{3} \d/)).toBeVisible();
  });
});
