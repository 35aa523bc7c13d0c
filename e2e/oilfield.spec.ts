import { defaultValve } from '@dusk-wren/core/valve';
import { expect, test } from '@playwright/test';
import { releaseHold, signCertificate } from './another-screen';
import { boltUp, FIRST, inHand, openJob, signIn, title } from './bench';
import { measured, soundLook } from './by-screen';
import { openOn } from './own-job';
import { workPlainly, workTo } from './plain';

/** The kit of the low-pressure valve: one sheet, three kits, an O-ring too old and a ring short. */
test('a low-pressure diaphragm valve, its kit checked, from receiving to the certificate', async ({
  page,
  browser,
}) => {
  test.setTimeout(240_000);
  await signIn(page, 'Ines Okoro');
  await openJob(page, 'LP-09');

  await test.step('the bag against the sheet: what belongs, what does not, what is too old, what no kit has', async () => {
    await expect(title(page)).toHaveText(/Lay out sheet and kit/);
    await expect(inHand(page)).toContainText('The reduced-port seat is not in the kit');
    await expect(inHand(page)).toContainText('On file for this valve: kit 15-S');
    await inHand(page).getByLabel('Order code').fill('15-D');
    await expect(inHand(page).getByRole('alert')).toContainText('this one takes 15-S');
    await inHand(page).getByLabel('Order code').fill('15-S');
    await expect(inHand(page).getByRole('alert')).toHaveCount(0);
    await page.getByRole('button', { name: 'Kit', exact: true }).click();
    const row = (name: string) => page.getByRole('listitem').filter({ hasText: name });
    await expect(row('Diaphragm, plain edge')).toContainText('belongs, here');
    await expect(row('Diaphragm, beaded edge')).toContainText('not for this variant');
    await expect(row('Backup ring')).toContainText('1 short');
    await expect(row('Housing gasket')).toContainText('belongs, missing');
    await expect(row('reduced-port seat')).toContainText('needed, never in the kit');
    await expect(row('Stem O-ring')).toContainText('stop');
    await expect(page.getByText('The kit is not whole')).toBeVisible();
  });

  await test.step('a new ring, the second backup and the gasket are scanned in; the kit is whole and kept', async () => {
    for (const line of ['6', '7', '8']) {
      await page.getByLabel('Scan or type a line').fill(line);
      await page.getByLabel('Scan or type a line').press('Enter');
    }
    await page.getByLabel('Scan or type a line').fill('99');
    await page.getByLabel('Scan or type a line').press('Enter');
    await expect(page.getByText('“99” is on no line of this sheet.')).toBeVisible();
    await page.getByLabel('Cure date of Stem O-ring').fill('2Q25');
    await page.getByLabel('Cure date of Housing gasket').fill('2Q25');
    await expect(page.getByText('The kit is whole.')).toBeVisible();
    await page.getByRole('button', { name: 'Keep this count' }).click();
    await page.reload();
    await page.getByRole('button', { name: 'Kit', exact: true }).click();
    await expect(page.getByText('The kit is whole.')).toBeVisible();
    await expect(page.getByText('Last counted by Ines Okoro.')).toBeVisible();
  });

  await test.step('the spring is let off first; what comes off has its place on the tray', async () => {
    await page.getByRole('button', { name: 'Section' }).click();
    await workTo(page, 'Back the adjusting screw right off');
    await expect(inHand(page)).toContainText('A spring is loaded under here');
    await expect(inHand(page)).toContainText('To the tray:');
    await workTo(page, /tip out the oil/);
  });

  await test.step('a worn seat is renewed, ordered, and waited for', async () => {
    await workTo(page, 'Reduced-port seat, screwed in');
    await inHand(page)
      .getByRole('radio', { name: /Cracked/ })
      .click();
    await inHand(page).getByRole('button', { name: 'Take the call' }).click();
    await expect(page.locator('#step-order\\.port-seat')).toContainText('Order port seat');
    await workTo(page, 'Order port seat');
    await inHand(page)
      .getByRole('button', { name: /ordered/ })
      .click();
    await workTo(page, 'Port seat in, checked against the old one');
    const store = await page.context().newPage();
    await store.goto(`${FIRST}/store`);
    await expect(store.getByRole('row', { name: /port seat.*LP-09/ })).toContainText('ordered, expected');
    await store.close();
    await inHand(page).getByRole('button', { name: 'The port seat is in' }).click();
    await workTo(page, 'Old port seat out, new port seat in');
    await workTo(page, 'Hold: the call on every part');
    await releaseHold(browser, page);
    await expect(title(page)).not.toHaveText(/^Hold/);
  });

  await test.step('oil over the hole, star pattern, soap, and signed', async () => {
    await workTo(page, /communication hole/);
    await expect(inHand(page)).toContainText('Do not tilt it after');
    await workTo(page, 'Six bolts, star pattern');
    await boltUp(page);
    await workTo(page, 'Hold: witness the test');
    await releaseHold(browser, page);
    await expect(title(page)).not.toHaveText(/^Hold/);
    await workPlainly(page);
    await signCertificate(browser, page, 'Petra Lundholm');
    await page.getByRole('link', { name: 'Open it' }).click();
    await expect(page.getByText(/Signed by Petra Lundholm/)).toBeVisible();
  });
});

test('a weight-lever dump valve, whole: its kit, which way round, torques by crow-foot, the weight where the head wants it', async ({
  page,
  browser,
}) => {
  test.setTimeout(240_000);
  await signIn(page, 'Wen Aldous');
  await openOn(page, defaultValve('dump-weight-lever'), { place: 'bare' });
  await workTo(page, 'Drip pot and needle valve off');
  await workTo(page, /^Plate neck in the vice/);
  await inHand(page).getByRole('button', { name: 'all up' }).click();
  await inHand(page).getByRole('button', { name: 'away from the port' }).click();
  await workTo(page, 'Reversible seat: both faces');
  await inHand(page).getByRole('radio', { name: 'One face worn' }).click();
  await expect(inHand(page)).toContainText('turned over');
  await inHand(page).getByRole('button', { name: 'Take the call' }).click();
  await workTo(page, 'Removable seat, where it stands');
  await expect(inHand(page)).toContainText('leave it alone');
  await soundLook(page);
  await workTo(page, 'Hold: the call on every part');
  await releaseHold(browser, page);
  await expect(title(page)).not.toHaveText(/^Hold/);
  await test.step('the worn face is turned over, and nothing goes in the wrong way round', async () => {
    await workTo(page, /^Upside down, plate neck in the vice/);
    await inHand(page).getByRole('button', { name: 'all up' }).click();
    await inHand(page).getByRole('button', { name: 'away from the port' }).click();
    await expect(inHand(page).getByRole('alert')).toContainText('it goes in towards the port');
    await inHand(page).getByRole('button', { name: 'towards the port' }).click();
  });
  await workTo(page, /^Housing bolts by hand/);
  await boltUp(page);
  await workTo(page, /with a crow-foot/);
  await expect(inHand(page)).toContainText('wanted 9 lbf·ft to 11 lbf·ft');
  await measured(page, { 'torque of the diaphragm bolt': '10 ft-lb' });
  await workTo(page, /^Hub lifted/);
  await inHand(page).getByRole('button', { name: 'towards the inlet' }).click();
  await workTo(page, 'Bonnet bolts criss-cross');
  await boltUp(page);
  await workTo(page, /plus half a turn/);
  await expect(inHand(page)).toContainText('Half a turn and no more');
  await workTo(page, /^Weight to its place/);
  await expect(inHand(page)).toContainText('wanted 6.15 in to 6.65 in');
  await inHand(page).getByLabel('weight from the shaft').fill('163 mm');
  await inHand(page).getByRole('button', { name: 'Keep' }).click();
  await test.step('on a water leg its weight is slid as advised until it opens at its head, and its place is kept', async () => {
    await workTo(page, /^On a water leg/);
    const kept = inHand(page).getByRole('button', { name: 'Keep what it opened at' });
    let moved = 0;
    for (let round = 0; round < 6 && /^On a water/.test(await title(page).innerText()); round++) {
      await inHand(page)
        .getByRole('button', { name: /^(Fill until it dumps|Let it go)/ })
        .click();
      await kept.click({ timeout: 30_000 });
      await expect(kept).toHaveCount(0);
      const next = inHand(page).getByRole('button', { name: /^(Moved to|Keep its place)/ });
      await expect(async () => {
        const isDone = !/^On a water/.test(await title(page).innerText());
        expect(isDone || (await next.count()) > 0).toBe(true);
      }).toPass();
      if ((await next.count()) === 0) continue;
      if (/^Moved/.test(await next.innerText())) moved++;
      await next.click();
    }
    await expect(title(page)).not.toHaveText(/^On a water/);
    expect(moved).toBeGreaterThan(0);
  });
  await workTo(page, 'Hold: witness the test');
  await releaseHold(browser, page);
  await workPlainly(page);
  await signCertificate(browser, page, 'Petra Lundholm');
  await expect(page.getByText('The certificate is signed.')).toBeVisible();
});

test('a unit from the shelf swaps the plan, and the old one is its own job', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  await openJob(page, 'PCV-301');
  await page.getByRole('button', { name: 'Parts', exact: true }).click();
  const before = await page.getByRole('group', { name: 'Nameplate' }).innerText();
  await page.getByRole('button', { name: 'Fit it now' }).click();
  await expect(page.getByText(/RA 115 taken by Ines Okoro/)).toBeVisible();
  await expect(page.getByRole('group', { name: 'Nameplate' })).not.toHaveText(before);
  await page.goto(`${FIRST}/store`);
  await page.getByRole('button', { name: 'Shelf' }).click();
  const old = page.getByRole('row', { name: /PCV-301/ }).filter({ hasText: 'to rebuild' });
  await old.getByRole('button', { name: 'Open its job' }).click();
  await expect(title(page)).toHaveText('Check the nameplate against the job');
  await expect(page.getByText('Cover off with two long bolts', { exact: false }).first()).toBeVisible();
});
