import { expect, test, type Page } from '@playwright/test';
import { FIRST, inHand, openJob, openSheet, signIn } from './bench';
import { openOwnJob } from './own-job';
import { tooSmall } from './sizes';
import { workTo } from './plain';

const WIDTHS = [1280, 1024, 390] as const;

async function largeEnough(page: Page, what: string): Promise<void> {
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: width === 390 ? 844 : 800 });
    await expect
      .configure({ soft: true })
      .poll(() => tooSmall(page), { message: `${what} at ${width}`, timeout: 3000 })
      .toEqual([]);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
}

test('whatever is pressed is as large as a gloved finger, whatever is read can be read at arm’s length', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.goto(`${FIRST}/sign-in`);
  await page.getByRole('button', { name: /Jory/ }).click();
  await largeEnough(page, 'sign-in');
  await signIn(page, 'Jory Velde');
  await page.getByRole('button', { name: 'On benches' }).click();
  await expect(page.getByRole('link', { name: /HV-2230/ }).first()).toBeVisible();
  await largeEnough(page, 'the floor');
  for (const tag of ['HV-2230', 'FV-22', 'LP-09']) {
    await page.goto(FIRST);
    await openJob(page, tag);
    await largeEnough(page, tag);
  }
  for (const name of ['Parts', 'Tray', 'Kit', 'Choices', 'History']) {
    await page.getByRole('button', { name, exact: true }).click();
    await largeEnough(page, name);
  }
  for (const link of ['Fetch list', 'Labels', 'Certificate']) {
    await openSheet(page, link);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await largeEnough(page, link);
    await page.getByRole('link', { name: 'Back to the bench' }).click();
  }
  await page.goto(`${FIRST}/store`);
  for (const name of ['Orders', 'Shelf', 'Bins', 'Kit sheets', 'Files']) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByText(/Fetching|Looking/)).toHaveCount(0);
    await largeEnough(page, name);
  }
  for (const path of [
    '/jobs/new',
    '/workings',
    '/workings/bolting.torque',
    '/workings/stem.runout',
    '/workings/positioner.stroke',
    '/workings/signature.analyse',
    '/workings/bluing.read',
  ]) {
    await page.goto(`${FIRST}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await largeEnough(page, path);
  }
});

test('so it is on every kind of task', async ({ page }) => {
  test.setTimeout(180_000);
  await signIn(page, 'Ines Okoro');
  await openOwnJob(page);
  for (const task of [
    /^Type the maker’s sheet/,
    /^Lay out sheet and kit/,
    /^Match-mark/,
    /^Old gasket out/,
    /^Runout of the stem/,
    /^Joint face of the bonnet/,
    'Measure stem and stuffing box',
    /^Blue the disc/,
    /^Hold: contact/,
  ]) {
    await workTo(page, task);
    await expect(inHand(page)).not.toHaveClass(/fresh/);
    await largeEnough(page, String(task));
  }
});
