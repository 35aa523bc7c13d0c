import { defaultValve } from '@dusk-wren/core/valve';
import { expect, test, type Page } from '@playwright/test';
import { checkIsolation, releaseHold, signCertificate } from './another-screen';
import { boltUp, inHand, sign, signIn, title } from './bench';
import { measured } from './by-screen';
import { openAgain, openOn } from './own-job';
import { workTo } from './plain';

/** One figure typed that is not what the step asks for: said, and the step stays. */
async function outside(page: Page, label: string, figure: string): Promise<void> {
  const field = inHand(page).getByLabel(label, { exact: true });
  await field.fill(figure);
  await expect(inHand(page)).not.toHaveClass(/fresh/);
  await field.press('Enter');
  await expect(inHand(page).getByRole('alert')).toContainText('Put it right and take it again');
}

/** Which way round, by its picture. */
const seen = (page: Page, way: string) => inHand(page).getByRole('button', { name: way }).click();

async function released(page: Page, browser: Parameters<typeof releaseHold>[0], hold: string): Promise<void> {
  await workTo(page, hold);
  await releaseHold(browser, page);
  await expect(title(page)).not.toHaveText(hold);
}

test('a globe out to the shop and back: lifted by its figures, blinds counted, both flanges by every click', async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000);
  await signIn(page, 'Ines Okoro');
  await openOn(page, defaultValve('globe-bolted'), { place: 'out and back', scope: 'repack' });

  await test.step('isolated by two, then what the sling takes', async () => {
    await workTo(page, 'Two sign the isolation');
    await sign(page);
    await checkIsolation(browser, page, 'Wen Aldous');
    await workTo(page, 'What it weighs, and what the sling takes');
    await outside(page, 'angle between the legs', '130°');
    await measured(page, { 'mass of the valve': '90 kg', 'angle between the legs': '60°' });
    await workTo(page, /^Sling takes the weight/);
    // Half of 90 kg over cos 30°: 0.577 of the weight on each leg (two equal legs, plane statics).
    await expect(inHand(page)).toContainText(/Each leg carries (51\.9|52) kgf|Each leg carries 11[45]/);
    await workTo(page, /^Blank the open ends/);
    // The last step before anything is opened takes a press of its own button.
    await inHand(page).getByLabel('blinds', { exact: true }).fill('2 pieces');
    await inHand(page).getByRole('button', { name: 'Keep' }).click();
    await expect(title(page)).toHaveText('Gland nuts off');
  });
  await test.step('back by its flow arrow, which is seen', async () => {
    await released(page, browser, 'Hold: the call on every part');
    await released(page, browser, 'Hold: witness the test');
    await workTo(page, /^Lift it back/);
    await seen(page, 'against the flow');
    await expect(inHand(page).getByRole('alert')).toContainText('Wrong way round: it goes in with the flow');
    await seen(page, 'with the flow');
    await workTo(page, 'Tighten the upstream flange by its own order');
    await expect(inHand(page)).toContainText('8 studs 3/4-10 (ASME B16.5)');
    await boltUp(page);
    await expect(title(page)).toHaveText('Tighten the downstream flange by its own order');
  });
  await test.step('a blind left in is found before the blocks are opened', async () => {
    await workTo(page, 'Count the blinds out again');
    await outside(page, 'blinds', '1 piece');
    await measured(page, { blinds: '2 pieces' });
    await workTo(page, 'Two sign the isolation off');
    await sign(page);
    await checkIsolation(browser, page, 'Wen Aldous');
    await workTo(page, 'Sign the certificate');
    await signCertificate(browser, page, 'Petra Lundholm');
    await page.getByRole('link', { name: 'Open it' }).click();
    await expect(page.getByText(/out to the shop and back/i).first()).toBeVisible();
    await expect(page.getByText(/flow arrow of the body: with the flow/)).toBeVisible();
  });
});

test('a fail action reversed as a job of its own: who wants it is asked, plate and record carry the new one', async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000);
  await signIn(page, 'Ines Okoro');
  await openOn(page, defaultValve('control-rotary-eccentric'), {
    place: 'bare',
    scope: 'reversal',
  });
  const plate = page.getByRole('group', { name: 'Nameplate' });
  const tag = /OWN-[0-9a-f]{8}/.exec(await plate.innerText())?.[0] ?? '';
  await expect(page.locator('[id="step-strip.packing"]')).toHaveCount(0);
  await workTo(page, /^Who wants it to stand shut on loss of air/);
  await inHand(page).getByRole('textbox').fill('P. Lundholm, letter 14; on loss of signal it shuts too');
  await inHand(page).getByRole('button', { name: 'Done' }).click();
  await released(page, browser, 'Hold: the call on every part');
  await workTo(page, /^Reverse, air-to-close to air-to-open/);
  await workTo(page, /^Scribe the stem at the yoke face/);
  await outside(page, 'movement at 7 psi', '1/2 in');
  await measured(page, { 'movement at 7 psi': '1/4 in' });
  await workTo(page, /^Air off: does it go to shut/);
  await released(page, browser, 'Hold: witness the test');
  await workTo(page, 'Air-to-open on plate, tag and drawing');
  await inHand(page).getByRole('textbox').fill('the control room');
  await inHand(page).getByRole('button', { name: 'Done' }).click();
  await workTo(page, 'Sign the certificate');
  await signCertificate(browser, page, 'Petra Lundholm');
  await page.getByRole('link', { name: 'Open it' }).click();
  await expect(page.getByText(/air-to-open/).first()).toBeVisible();

  await test.step('its next job starts from there', async () => {
    await openAgain(page, tag, { place: 'bare' });
    await expect(plate).toContainText('air-to-open: fails closed');
  });
});
