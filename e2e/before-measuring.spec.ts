import { expect, test, type Page } from '@playwright/test';
import { valueIn } from '@dusk-wren/core/quantity';
import { checkIsolation } from './another-screen';
import { jobAt } from './api';
import { FIRST, inHand, openJob, openSheet, setMarks, sign, signIn, title } from './bench';
import { done, lockHung } from './by-screen';
import { workPlainly, workTo } from './plain';

/** The first paper of a day waits until the printer has its fonts. */
const PRINTED = { timeout: 60_000 };

const PASSED_OVER = /Find where|As found|seated|gland|Lubricate|Add rings/;

/** Rungs and checks that this trouble does not ask for. */
async function passOver(page: Page): Promise<void> {
  for (let i = 0; i < 8 && !/^Say how it stands/.test(await title(page).innerText()); i++) {
    const before = await title(page).innerText();
    expect(before).toMatch(PASSED_OVER);
    const figure = inHand(page).getByRole('button', { name: 'Not taken…' });
    if ((await figure.count()) > 0) {
      await figure.click();
      await inHand(page).getByRole('button', { name: 'nobody wants it' }).click();
    } else await inHand(page).getByRole('button', { name: 'Not needed' }).click();
    await expect(title(page)).not.toHaveText(before);
  }
}

test('a control valve with half travel, from symptom to strip: found, isolated by two, marked', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Ines Okoro');
  await openJob(page, 'PCV-301');

  await test.step('gauges are read, cheapest first, until the fault is placed', async () => {
    await expect(title(page)).toHaveText('Find where the fault lies');
    await inHand(page).getByRole('button', { name: 'Half travel at full signal' }).click();
    const placed = inHand(page).getByRole('heading', { name: 'Placed: Bottom guide full' });
    for (let i = 0; i < 10 && !(await placed.isVisible()); i++) {
      const read = inHand(page).getByRole('button', { name: 'Read the gauges' });
      const heading = inHand(page).getByRole('heading', { level: 3 }).first();
      const check = await heading.innerText();
      await read.click();
      // All that stands there is compared, so that a reading that led nowhere shows what was said of it.
      const shown = async () =>
        (await heading.innerText()) === check ? inHand(page).innerText() : 'another';
      await expect.poll(shown).toBe('another');
    }
    await expect(placed).toBeVisible();
    await inHand(page).getByRole('button', { name: 'The fault is: Bottom guide full' }).click();
    await expect(title(page)).not.toHaveText('Find where the fault lies');
  });

  await test.step('nothing is stripped before every energy is proved', async () => {
    await passOver(page);
    await expect(title(page)).toHaveText('Say how it stands in its line');
    await expect(page.locator('#step-strip\\.match-mark')).toHaveClass(/waits/);
    await inHand(page).getByLabel('A vent or drain upstream').uncheck();
    await expect(inHand(page).getByRole('alert')).toContainText('Nothing proves that the upstream side');
    await inHand(page).getByLabel('A vent or drain upstream').check();
    await inHand(page).getByLabel('Volume shut in').fill('12 L');
    await inHand(page).getByRole('button', { name: 'This is the line' }).click();
    await workTo(page, /Shut, lock and tag the upstream/);
    await lockHung(page, 'L 900');
    await workTo(page, 'Prove zero: upstream side');
    await inHand(page).getByRole('button', { name: 'Open the vent, watch the gauge' }).click();
    await expect(inHand(page).locator('.live-reading')).toHaveText(/^0 psig$/, { timeout: 20_000 });
    const scale = await inHand(page).locator('.live svg text').allTextContents();
    expect(Math.max(...scale.map(Number.parseFloat).filter(Number.isFinite))).toBeGreaterThan(50);
    const take = inHand(page).getByRole('button', { name: 'Take this reading' });
    await expect(take).toBeEnabled({ timeout: 20_000 });
    await take.click();
    await workTo(page, 'Two sign the isolation');
    const { entries } = await jobAt(page);
    const kept = entries.flatMap((entry) => (entry.kind === 'measured' ? [entry.body] : []));
    const stood = kept.flatMap(({ steadyFor }) => (steadyFor ? [valueIn(steadyFor, 's')] : []));
    expect(Math.min(...stood)).toBeGreaterThanOrEqual(5);
  });

  await test.step('one person does not sign both sides; a second one walks the points', async () => {
    await sign(page);
    await expect(inHand(page).getByRole('button', { name: 'Somebody else signs here' })).toBeVisible();
    await checkIsolation(browser, page, 'Wen Aldous');
    await expect(title(page)).not.toHaveText('Two sign the isolation');
  });

  await test.step('the sheet says who locked what, and prints', async () => {
    await openSheet(page, 'Isolation');
    await expect(page.getByRole('heading', { name: 'Isolation sheet' })).toBeVisible();
    await expect(page.getByText('Stored:').first()).toContainText('kJ');
    await expect(page.getByRole('row', { name: /upstream block valve/ })).toContainText('Ines Okoro');
    const [pdf, sheet] = await Promise.all(
      ['isolation', 'job-sheet'].map((name) =>
        page.request.get(
          `${page.url().replace('/jobs/', '/api/jobs/').replace('/isolation', '')}/${name}.pdf`,
          PRINTED,
        ),
      ),
    );
    expect(pdf?.headers()['content-type']).toBe('application/pdf');
    expect((await sheet?.body())?.length).toBeGreaterThan(10_000);
    await page.getByRole('link', { name: 'Back to the bench' }).click();
  });

  await test.step('marks are set by the clock, settings measured, and the strip goes on', async () => {
    await workTo(page, /Match-mark/);
    await setMarks(page);
    await expect(title(page)).not.toHaveText(/Match-mark/);
    await workTo(page, 'Measure the settings before they are lost');
    await workPlainly(page);
    await page.keyboard.press('t');
    await expect(page.getByRole('region', { name: 'Hand-over' })).toContainText('Locks hanging');
  });
});

/** A size typed into its list: the list finds it, and forgets in a second what was typed before. */
async function chooseSize(page: Page, size: string): Promise<void> {
  const box = inHand(page).getByRole('combobox', { name: 'Size' });
  const chosen = inHand(page).locator('.v-select__selection-text', { hasText: new RegExp(`^${size}$`) });
  await expect(async () => {
    await box.pressSequentially(size);
    await expect(chosen).toBeVisible({ timeout: 1500 });
  }).toPass({ timeout: 20_000 });
}

test('receiving a relief valve: its plate read, its twin caught, the wrong kit stopped, its sheet filed', async ({
  page,
}) => {
  await signIn(page, 'Tam Brackley');
  await page.goto(`${FIRST}/jobs/new`);

  await test.step('a scanned plate line fills the plate; what is not understood is said', async () => {
    await page
      .getByLabel('Type, paste or scan the plate')
      .fill('PSV-77; S/N K 20 118; 2 in; class 300; WCB; set 150 psig; orifice J; UV; wobble 9');
    await expect(page.getByText('not understood: wobble 9')).toBeVisible();
    const plate = page.getByRole('group', { name: 'Nameplate' });
    await expect(plate).toContainText('PSV-77');
    await expect(page.getByText('A set pressure on the plate: a relief valve?')).toBeVisible();
    await page.getByRole('button', { name: /^It is: Relief, spring/ }).click();
    await expect(plate).toContainText('Relief, spring');
    await expect(plate).toContainText('NPS 2');
  });

  await test.step('the same serial under another tag is caught before a second file is opened', async () => {
    await expect(page.getByRole('alert')).toContainText('same serial, other tag');
    await page.getByLabel('Serial', { exact: true }).fill('R 9 4417');
    await expect(page.getByRole('alert')).toHaveCount(0);
    const customer = page.getByRole('combobox', { name: 'Customer' });
    // A list that opens just as its customers arrive is opened once more.
    await expect(async () => {
      await customer.press('ArrowDown');
      await page.getByRole('option', { name: /Mossgate/ }).click({ timeout: 2000 });
      await expect(customer).toHaveValue(/Mossgate/, { timeout: 1000 });
    }).toPass();
    await page.getByLabel('Where it sits').fill('separator 4, outlet');
    await page.getByLabel('What ran through it').fill('Sour gas');
    await page.getByLabel('Hydrogen sulphide, how much').fill('500 ppm');
    await page.getByRole('button', { name: 'Open the job' }).click();
  });

  await test.step('a kit of another size holds the step, with the reason', async () => {
    await workPlainly(page);
    await page.locator('[id="step-receive.spares"]').click();
    await expect(title(page)).toHaveText(/against the plate/);
    const waits = await title(page).innerText();
    await chooseSize(page, 'NPS 3');
    await expect(inHand(page).getByRole('alert')).toContainText(/Stop: kit.*NPS 3/);
    await inHand(page).getByRole('button', { name: 'Laid out, compared' }).click();
    await expect(title(page)).toHaveText(waits);
    await chooseSize(page, 'NPS 2');
    await inHand(page).getByRole('button', { name: 'Laid out, compared' }).click();
    await expect(title(page)).not.toHaveText(waits);
  });

  await test.step('the maker’s sheet is typed once, each figure with its page', async () => {
    await page.locator('[id="step-receive.sheet"]').click();
    await expect(title(page)).toHaveText(/maker’s sheet/);
    const step = inHand(page);
    await step.getByLabel('Model').fill('RV 40');
    await step.getByLabel('Revision').fill('C');
    await step.getByLabel('Torque of the joint').fill('85 ft-lb');
    await expect(step.getByRole('button', { name: 'File this sheet' })).toBeDisabled();
    await step.getByLabel('Page (joint)').fill('12');
    const waits = await title(page).innerText();
    await step.getByRole('button', { name: 'File this sheet' }).click();
    await expect(title(page)).not.toHaveText(waits);
  });
});

test('two people on an isolation: a block valve that passes stops the sheet', async ({ page }) => {
  await signIn(page, 'Tam Brackley');
  await openJob(page, 'TW-31');
  await expect(title(page)).toHaveText('Prove zero: upstream side');
  await inHand(page)
    .getByRole('button', { name: /Watch the gauge again|Open the vent/ })
    .click();
  await expect(inHand(page).getByText('Steady for 5 s.')).toBeVisible({ timeout: 20_000 });
  await expect(inHand(page).locator('.live-reading')).toHaveText(/^[1-9]\d*(\.\d)? psig$/);
  await inHand(page).getByRole('button', { name: 'Take this reading' }).click();
  await expect(inHand(page).getByRole('alert')).toContainText('a block valve may pass');
  await expect(page.locator('#step-isolate\\.sign')).toHaveClass(/waits/);
  await openSheet(page, 'Isolation');
  await expect(page.getByRole('alert')).toContainText('Stop. An energy was read and is not gone');
});

test('a strip without a connection on a phone: killed, opened again, sent without loss', async ({
  browser,
}) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
  });
  const page = await context.newPage();
  await signIn(page, 'Jory Velde');
  await openJob(page, 'HV-0412');
  const address = page.url();
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  await expect(async () => {
    const held = await page.evaluate(async () => (await caches.keys()).length);
    expect(held).toBeGreaterThan(0);
  }).toPass();
  await context.setOffline(true);

  await test.step('steps are done and waited with, and the sign says so', async () => {
    for (let i = 0; i < 2; i++) await done(page);
    await expect(page.getByRole('alert')).toContainText('Waiting on this device: 2 entries');
  });
  await test.step('a photograph is taken all the same, and shown from the device', async () => {
    const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 300, height: 200 } });
    await page.getByRole('button', { name: 'Tray', exact: true }).click();
    await page.getByLabel('What it shows').fill('as it came');
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'plate.png', mimeType: 'image/png', buffer: picture });
    const shown = page.getByRole('img', { name: 'valve: as it came' });
    await expect(shown).toHaveAttribute('src', /^blob:/);
    await expect(page.getByRole('alert')).toContainText('3 entries');
  });
  const stood = await title(page).innerText();
  await page.close(); // killed

  const again = await context.newPage();
  await test.step('opened again without a connection, it stands where it stood', async () => {
    await again.goto(address);
    await expect(title(again)).toHaveText(stood, { timeout: 20_000 });
    await expect(again.getByRole('alert')).toContainText('Waiting on this device: 3 entries');
    await done(again);
    await expect(again.getByRole('alert')).toContainText('4 entries');
  });

  await test.step('back in reach it is sent by itself, once', async () => {
    const last = await title(again).innerText();
    await context.setOffline(false);
    await expect(again.getByText('No connection.')).toHaveCount(0, { timeout: 30_000 });
    await expect(title(again)).toHaveText(last);
    await expect(async () => {
      const answer = await again.request.get(address.replace('/jobs/', '/api/jobs/'));
      const { entries } = (await answer.json()) as { entries: { commandId: string; by: { name: string } }[] };
      expect(entries.slice(-4).map(({ by }) => by.name)).toEqual(Array(4).fill('Jory Velde'));
      expect(entries.filter(({ by }) => by.name === 'Jory Velde')).toHaveLength(4);
      expect(new Set(entries.slice(-4).map(({ commandId }) => commandId)).size).toBe(4);
    }).toPass({ timeout: 20_000 });
    await again.getByRole('button', { name: 'Tray', exact: true }).click();
    const sent = again.getByRole('img', { name: 'valve: as it came' });
    await expect(sent).toHaveAttribute('src', /^\/api\//);
    expect(await sent.evaluate((img: HTMLImageElement) => img.decode().then(() => img.naturalWidth))).toBe(
      300,
    );
  });
  await context.close();
});
