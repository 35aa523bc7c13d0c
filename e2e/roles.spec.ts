import { expect, test } from '@playwright/test';
import { FIRST, inHand, openJob, sign, signIn, title } from './bench';

test('sign-in, roles and the hold', async ({ page }) => {
  await test.step('nobody sees a job without signing in, and comes back to it after', async () => {
    await page.goto(`${FIRST}/workings`);
    await expect(page).toHaveURL(/sign-in/);
    await page.getByRole('button', { name: /Jory Velde/ }).click();
    await page.getByLabel(/^PIN of/).fill('1111');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toHaveText('That name and PIN do not go together.');
    await page.getByLabel(/^PIN of/).fill('2468');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Workings' })).toBeVisible();
  });

  await test.step('a technician finds the hold shut, and an open ask said', async () => {
    await page.goto(FIRST);
    await openJob(page, 'TW-12');
    await expect(title(page)).toHaveText('Hold: contact and calls');
    await expect(inHand(page).getByText(/blue heat tint/)).toBeVisible();
    await expect(inHand(page).getByRole('button', { name: /release/ })).toBeDisabled();
  });

  await test.step('an inspector cannot release while something is undecided; a lead decides it with a reason', async () => {
    await page.getByRole('button', { name: /sign out/ }).click();
    await signIn(page, 'Noor Castellane');
    await openJob(page, 'TW-12');
    await expect(inHand(page).getByRole('button', { name: /release the hold/ })).toBeDisabled();
    await page.getByRole('button', { name: /sign out/ }).click();
    await signIn(page, 'Petra Lundholm');
    await openJob(page, 'TW-12');
    await page.getByRole('button', { name: /^5, gland: ask/ }).press('Enter');
    await page.getByRole('button', { name: 'Decide' }).click();
    await page.getByLabel(/^Why/).fill('heat tint, no score, measured round');
    // Nothing is preset: least of all the lenient answer.
    const decide = page.getByRole('button', { name: /^Decide/ });
    await expect(decide).toBeDisabled();
    await page.getByRole('combobox', { name: 'Your call' }).click({ force: true });
    await page.getByRole('option', { name: 'fit' }).click();
    await decide.click();
    await expect(page.getByText('Was “ask”, overruled by Petra Lundholm.')).toBeVisible();
  });

  await test.step('then the inspector releases it', async () => {
    await page.getByRole('button', { name: /sign out/ }).click();
    await signIn(page, 'Noor Castellane');
    await openJob(page, 'TW-12');
    await sign(page, /release the hold/);
    await expect(title(page)).not.toHaveText('Hold: contact and calls');
  });
});

test('a new valve with an unread plate: the plate fills in as it is typed, what is unknown is asked, keys and units work', async ({
  page,
}) => {
  await signIn(page, 'Tam Brackley');
  await page.keyboard.press('n');
  const plate = page.getByRole('group', { name: 'Nameplate' });
  await page.getByLabel('Tag', { exact: true }).fill('HV-901');
  await expect(plate).toContainText('HV-901');
  await expect(plate).toContainText('size? · class?');
  await page.getByRole('combobox', { name: 'Customer' }).press('ArrowDown');
  await page.getByRole('option', { name: /Mossgate/ }).click();
  await page.getByLabel('Where it sits').fill('spare, store room');
  await page.getByLabel('What ran through it').fill('Steam');
  await page.getByLabel('At pressure').fill('12 bar g');
  await expect(plate).toContainText('174 psig');
  await page.getByText(/^How it is made/).click();
  await page.getByLabel('Stem diameter').fill('28 mm');
  await page.getByLabel('Stud thread').fill('5/8-11');
  await expect(page.getByText('Will be asked on the bench')).toContainText('How many studs hold the joint?');
  await page.getByRole('button', { name: 'Open the job' }).click();
  await expect(title(page)).toHaveText('Check the nameplate against the job');
  await expect(page.locator('[id="step-receive.ask.bolts"]')).toContainText('How many studs hold the joint?');

  await page.locator('[id="step-receive.ask.bolts"]').click();
  await inHand(page).getByLabel('Answer').fill('8');
  await inHand(page).getByRole('button', { name: 'Keep the answer' }).click();
  await expect(page.locator('[id="step-receive.ask.bolts"]')).toContainText(/done .*, Tam/);

  await page.locator('main').press('?');
  await expect(page.getByRole('dialog', { name: 'Keys on this screen' })).toContainText('Step done');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(plate).toContainText('12 bar g');
  await page.reload();
  await expect(plate).toContainText('12 bar g');
});

test('a valve that will not come to zero is not opened', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  await openJob(page, 'TW-31');
  await expect(inHand(page).getByRole('alert')).toContainText(/Not at zero: [1-9]\d*(\.\d)? psig/);
  await inHand(page)
    .getByRole('button', { name: /watch the gauge/i })
    .click();
  await expect(inHand(page).locator('.live-reading')).toContainText(/29\d(\.\d)? psig/, { timeout: 20_000 });
  await expect(page.locator('[id="step-strip.slack"]')).toHaveClass(/waits/);
});
