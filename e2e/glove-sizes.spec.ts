import { expect, test, type Page } from '@playwright/test';
import { defaultValve } from '@dusk-wren/core/valve';
import { nothingSerious } from './axe';
import { FIRST, inHand, openJob, openSheet, signIn } from './bench';
import { openOn, openOwnJob } from './own-job';
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
    '/papers',
    '/workings/bolting.torque',
    '/workings/stem.runout',
    '/workings/positioner.stroke',
    '/workings/signature.analyse',
    '/workings/bluing.read',
    '/week/outages',
    '/week/file',
  ]) {
    await page.goto(`${FIRST}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await largeEnough(page, path);
  }
});

/** Kinds of task, each on a valve that has it: how the valve is opened, and the titles in the order they come. */
const TASKS: readonly (readonly [string, (page: Page) => Promise<string>, readonly (string | RegExp)[]])[] = [
  [
    'of a globe',
    openOwnJob,
    [
      /^Type the maker’s sheet/,
      /^Lay out sheet and kit/,
      /^Match-mark/,
      /^Old gasket out/,
      /^Runout of the stem/,
      /^Joint face of the bonnet/,
      'Measure stem and stuffing box',
      /^Blue the disc/,
      /^Hold: contact/,
    ],
  ],
  [
    'of a globe in its line',
    (page) => openOwnJob(page, 'in line'),
    [/^Find where the fault lies/, /^Say how it stands/, /^Shut, lock and tag/, /^Two sign/],
  ],
  [
    'of a relief valve',
    (page) => openOn(page, { ...defaultValve('relief-spring'), ends: 'flanged' }, { place: 'bare' }),
    [/^As-found pop/, /^Ring positions/, /^Lap the disc/],
  ],
];

for (const [which, open, titles] of TASKS)
  test(`so it is on every kind of task ${which}, and axe finds nothing serious at 390`, async ({ page }) => {
    test.setTimeout(180_000);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await signIn(page, 'Ines Okoro');
    await open(page);
    for (const task of titles) {
      await workTo(page, task);
      await expect(inHand(page)).not.toHaveClass(/fresh/);
      await largeEnough(page, String(task));
      await page.setViewportSize({ width: 390, height: 844 });
      await nothingSerious(page);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  });
