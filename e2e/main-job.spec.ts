import { expect, test } from '@playwright/test';
import { checkIsolation, releaseHold, signCertificate } from './another-screen';
import { boltUp, inHand, openJob, press, pressureTest, sign, signIn, title } from './bench';
import { done, measured, oneGrit, ringByRing, soundLook } from './by-screen';
import { workTo } from './plain';

/** The main job, to the PDF: a renewed stem, a lapped seat, a wrong bolt put right, a failed and then passed leak test. */
test('a bolted globe valve from a bent stem to a signed certificate', async ({ page, browser }) => {
  test.setTimeout(240_000);
  await signIn(page, 'Ines Okoro');
  await openJob(page, 'HV-2214');

  await test.step('the dial finds the bend and the call orders a stem', async () => {
    await expect(title(page)).toHaveText('Runout of the stem on V-blocks');
    await press(page, ' ');
    await expect(inHand(page).getByText('Renew the stem')).toBeVisible({ timeout: 30_000 });
    await expect(inHand(page).getByText(/TIR\) 6(\.\d+)? thou, limit 5 thou$/)).toBeVisible();
    await press(page, 'Enter');
    await expect(page.locator('#step-order\\.stem')).toContainText('Order stem');
  });

  await test.step('a two-thou mark on the seat asks for grinding in', async () => {
    await soundLook(page);
    await workTo(page, 'Seating face of the seat');
    await inHand(page)
      .getByRole('radio', { name: /Wire drawn/ })
      .click();
    await inHand(page).getByLabel('How deep').fill('2 tohu');
    await expect(inHand(page).getByText('Perhaps thou?')).toBeVisible();
    await inHand(page).getByLabel('How deep').fill('2 thou');
    await expect(inHand(page).getByText('Rework the seat: grind in')).toBeVisible();
    await inHand(page).getByRole('button', { name: 'Take the call' }).click();
    await expect(page.locator('#step-repair\\.lap\\#1')).toContainText('grind in');
  });

  await test.step('the stem is ordered; the seat is ground in meanwhile; a broken line asks for another round', async () => {
    await workTo(page, 'Measure stem and stuffing box');
    await measured(page, {
      'stem diameter': '1 1/8 in',
      'smallest in the packing': '1 1/8 in',
      'box bore': '1 7/8 in',
      'box depth': '3 in',
      'gland entry': '5/16 in',
    });
    await workTo(page, 'Order stem');
    await inHand(page)
      .getByRole('button', { name: /ordered/ })
      .click();
    await oneGrit(page);
    await workTo(page, /^Blue check, round 1$/);
    await press(page, 'a');
    await inHand(page).getByRole('radio', { name: /Bare/ }).click();
    const ring = inHand(page).getByRole('application');
    await ring.focus();
    for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowRight');
    await expect(inHand(page).getByText('Broken: a leak path')).toBeVisible();
    await inHand(page).getByRole('button', { name: 'Keep this check' }).click();
    await workTo(page, /^Blue check, round 2$/);
    await press(page, 'a');
    await expect(inHand(page).getByText('Closed, narrow line')).toBeVisible();
    await press(page, 'Enter');
  });

  await test.step('the technician cannot release the hold, the inspector can', async () => {
    await expect(title(page)).toHaveText('Hold: contact and calls');
    await expect(inHand(page).getByText('It takes an inspector')).toBeVisible();
    await releaseHold(browser, page);
    await expect(title(page)).not.toHaveText('Hold: contact and calls');
  });

  await test.step('the stem comes in and the rebuild goes on to the bolt-up', async () => {
    await workTo(page, 'Stem in, checked against the old one');
    await inHand(page).getByRole('button', { name: 'The stem is in' }).click();
    await workTo(page, 'Bolt up the bonnet');
  });

  await test.step('a click on the wrong bolt is said at once and put right', async () => {
    await inHand(page)
      .getByRole('button', { name: /^Bolt 4,/ })
      .click();
    await inHand(page)
      .getByLabel(/Click on bolt 4/)
      .fill('25 ft-lb');
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    await inHand(page)
      .getByLabel(/Click on bolt 4/)
      .press('Enter');
    await expect(inHand(page).getByRole('status')).toContainText(
      'That was bolt 4. It does not count; go to bolt 1.',
    );
    await page.locator('h2').first().click();
    await boltUp(page);
  });

  await test.step('packing, shell and backseat', async () => {
    await workTo(page, 'Pack the stuffing box');
    await ringByRing(page);
    await done(page);
    await workTo(page, 'Shell test');
    expect(await pressureTest(page)).toContain('Holds');
    expect(await pressureTest(page)).toContain('Holds');
  });

  await test.step('the seat leaks: back to the seat, a new gasket, and it holds', async () => {
    await expect(title(page)).toHaveText('Seat test');
    expect(await pressureTest(page)).toContain('Over');
    await expect(title(page)).toHaveText('Vent the rig and prove zero again');
    await workTo(page, /^Blue check, round 1$/);
    await press(page, 'a');
    await press(page, 'Enter');
    await expect(title(page)).toHaveText('Hold: contact and calls');
    await releaseHold(browser, page);
    await expect(title(page)).not.toHaveText('Hold: contact and calls');
    await workTo(page, 'Bolt up the bonnet');
    await boltUp(page);
    await workTo(page, 'Shell test');
    await pressureTest(page);
    await pressureTest(page);
    await expect(title(page)).toHaveText('Seat test');
    expect(await pressureTest(page)).toContain('Holds');
    await expect(title(page)).toHaveText('Hold: witness the seat test');
    await releaseHold(browser, page);
    await expect(title(page)).not.toHaveText('Hold: witness the seat test');
  });

  await test.step('signed, and the paper says all of it', async () => {
    await workTo(page, 'Two sign the isolation off');
    await sign(page);
    await checkIsolation(browser, page, 'Wen Aldous');
    await expect(title(page)).not.toHaveText('Two sign the isolation off');
    await workTo(page, 'Sign the certificate');
    await expect(inHand(page).getByRole('button', { name: /^Sign as/ })).toBeDisabled();
    await expect(inHand(page).getByText('another signs the certificate')).toBeVisible();
    await signCertificate(browser, page, 'Petra Lundholm');
    await page.getByRole('link', { name: 'Open it' }).click();
    await expect(page.getByRole('heading', { name: 'Overhaul certificate' })).toBeVisible();
    await expect(page.getByText(/Signed by Petra Lundholm/)).toBeVisible();
    await expect(page.getByText(/wrong bolt, done again/)).toBeVisible();
    await expect(page.getByRole('row', { name: /Seat test/ })).toHaveCount(2);
    await expect(page.getByText('Some readings come from simulated instruments.')).toBeVisible();
    const address = await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href');
    const pdf = await page.request.get(`${new URL(page.url()).origin}${address ?? ''}`);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    const bytes = await pdf.body();
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(20_000);
  });

  await test.step('its code opens its record, which says the same; a code with a slip in it does not', async () => {
    await page.getByRole('link', { name: /^Code / }).click();
    await expect(page.getByText('Its record says the same as when it was signed.')).toBeVisible();
    const code = page.getByLabel('Code on the paper');
    await code.fill((await code.inputValue()).replace(/.$/, (last) => (last === '0' ? '1' : '0')));
    await page.getByRole('button', { name: 'Look' }).click();
    await expect(page.getByRole('alert')).toContainText('Do not go by this paper');
  });
});
