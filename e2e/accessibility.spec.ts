import { expect, test, type Page } from '@playwright/test';
import { nothingSerious, violations } from './axe';
import { FIRST, openJob, openSheet, signIn } from './bench';

/** The rules that the second look can break: between the two only colours differ. */
const COLOUR_RULES = ['color-contrast', 'link-in-text-block'];

async function lookedAt(page: Page, look: 'dusk' | 'daylight'): Promise<void> {
  await page.getByRole('button', { name: look === 'dusk' ? 'Dusk' : 'Daylight' }).click();
  await expect(page.locator(`html[data-theme="${look}"]`)).toBeAttached();
}

/** Neither in one look nor, by its colours, in the other: each kind of surface once, for both looks draw with the same tokens. */
async function inBothLooks(page: Page): Promise<void> {
  await nothingSerious(page);
  await lookedAt(page, 'daylight');
  expect(await violations(page, COLOUR_RULES), `${page.url()} in daylight`).toEqual([]);
  await lookedAt(page, 'dusk');
}

test('axe finds nothing serious on any page, in dusk and in daylight', async ({ page }) => {
  test.setTimeout(240_000);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(`${FIRST}/sign-in`);
  await expect(page.getByRole('button', { name: /Jory/ })).toBeVisible();
  expect(await violations(page)).toEqual([]);
  await signIn(page, 'Jory Velde');
  await page.getByRole('button', { name: 'On benches' }).click();
  await expect(page.getByRole('link', { name: /HV-2230/ }).first()).toBeVisible();
  await inBothLooks(page);
  for (const tag of ['HV-2230', 'HV-118', 'DH-415']) {
    await page.goto(FIRST);
    await openJob(page, tag);
    await (tag === 'HV-2230' ? inBothLooks : nothingSerious)(page);
  }
  for (const name of ['Parts', 'Choices']) {
    await page.getByRole('button', { name, exact: true }).click();
    await nothingSerious(page);
  }
  await page.getByRole('button', { name: 'History' }).click();
  await inBothLooks(page);
  await openSheet(page, 'Certificate');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await inBothLooks(page);
  await page.goto(FIRST);
  await openJob(page, 'LP-09');
  await page.getByRole('button', { name: 'Kit', exact: true }).click();
  await expect(page.getByText('Sheet PS-K15, Low-pressure')).toBeVisible();
  await inBothLooks(page);
  for (const link of ['Fetch list', 'Labels']) {
    await openSheet(page, link);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await nothingSerious(page);
    await page.getByRole('link', { name: 'Back to the bench' }).click();
  }
  await page.goto(`${FIRST}/store`);
  for (const name of ['Orders', 'Shelf', 'Bins', 'Kit sheets', 'Files']) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByText(/Fetching|Looking/)).toHaveCount(0);
    await (name === 'Shelf' ? inBothLooks : nothingSerious)(page);
  }
  for (const path of [
    '/jobs/new',
    '/workings',
    '/papers',
    '/workings/bolting.torque?thread=5/8-11&nutFactor=0.16&material=B7',
    '/workings/seat.contact',
    '/workings/bolting.sequence?bolts=8&passes=quarters&torque=90 N·m',
    '/workings/leak.allowance?code=API 598&size=NPS 3&seat=metal&class=600&fluid=liquid',
  ]) {
    await page.goto(`${FIRST}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await nothingSerious(page);
  }
  await page.goto(`${FIRST}/workings/positioner.stroke`);
  await page.getByRole('button', { name: 'Fill in an example' }).click();
  await expect(page.getByRole('img', { name: 'Deviation of the travel' })).toBeVisible();
  await nothingSerious(page);
  for (const path of ['/workings/signature.analyse', '/workings/bluing.read']) {
    await page.goto(`${FIRST}${path}`);
    await page.getByRole('button', { name: 'Use the sample' }).click();
    await expect(page.getByRole('region', { name: 'Answer' })).toContainText('How this was worked out');
    await (path.endsWith('bluing.read') ? inBothLooks : nothingSerious)(page);
  }
});

for (const [width, height] of [
  [1024, 768],
  [390, 844],
] as const)
  test(`axe finds nothing serious at ${width} wide either`, async ({ page }) => {
    test.setTimeout(120_000);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.setViewportSize({ width, height });
    await signIn(page, 'Jory Velde');
    await nothingSerious(page);
    for (const tag of ['HV-2230', 'HV-118']) {
      await page.goto(FIRST);
      await openJob(page, tag);
      await nothingSerious(page);
    }
    for (const link of ['Certificate', 'Fetch list']) {
      await openSheet(page, link);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await nothingSerious(page);
      await page.getByRole('link', { name: 'Back to the bench' }).click();
    }
    for (const path of [
      '/store',
      '/jobs/new',
      '/workings',
      '/workings/bolting.torque',
      '/workings/bluing.read',
    ]) {
      await page.goto(`${FIRST}${path}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.getByText(/Fetching|Looking/)).toHaveCount(0);
      await nothingSerious(page);
    }
  });

test('the bench works at 390 wide: nothing runs off the side', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Jory Velde');
  for (const open of ['HV-2230', 'HV-118']) {
    await page.goto(FIRST);
    await openJob(page, open);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
  }
});

test('the workings work at 390 wide: nothing runs off the side', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Jory Velde');
  for (const path of [
    '/workings',
    '/workings/bore.wear',
    '/workings/bolting.sequence',
    '/workings/signature.analyse',
    '/workings/bluing.read',
  ]) {
    await page.goto(`${FIRST}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const button = page.getByRole('button', { name: /Fill in an example|Use the sample/ });
    if ((await button.count()) > 0) await button.click();
    if (path !== '/workings') await expect(page.getByText('How this was worked out')).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, path).toBeLessThanOrEqual(390);
  }
});
