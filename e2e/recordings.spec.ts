import { expect, test, type Page } from '@playwright/test';
import { psig } from '@dusk-wren/core/quantity';
import { defaultValve } from '@dusk-wren/core/valve';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { releaseHold } from './another-screen';
import { jobAt } from './api';
import { nothingSerious } from './axe';
import { DROPS, FIRST, inHand, signIn, title } from './bench';
import { logOf, openNamed } from './own-job';
import { workTo } from './plain';
import { tooSmall } from './sizes';

/** A slow ramp there and back, half a percent high all the way, as a rig writes it. */
function ramp(): string {
  const signals = Array.from({ length: 401 }, (_, i) => 100 - Math.abs(i - 200) / 2);
  const rows = signals.map((signal, i) => `${i / 10};${signal.toFixed(2)};${(signal + 0.5).toFixed(2)}`);
  return ['time (s);signal (%);travel (%)', ...rows, ''].join('\r\n').replaceAll('.', ',');
}

test('a rig leaves a recording in its folder: it lands on the job of its tag, is read in and kept', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Ines Okoro');
  const usual = defaultValve('control-globe-double-seat');
  const plate = { ...usual.plate, springRange: { low: psig(3), high: psig(15) } };
  const valve = { ...usual, ends: 'flanged' as const, tag: 'RIG-7', plate };
  const address = await openNamed(page, valve, { place: 'in line', scope: 'set-up' });
  await workTo(page, /^As found: stroke it by points/);
  await writeFile(join(DROPS, 'rig 7 as found.csv'), ramp());
  await writeFile(join(DROPS, 'RIG-70 other.csv'), ramp().replace('0,0', '0,1'));
  const landed = inHand(page).getByRole('region', { name: 'Recordings from the rig' });
  await expect(landed.getByRole('listitem')).toHaveCount(1, { timeout: 30_000 });
  await expect(landed).toContainText('401 rows');
  await landed.getByRole('button', { name: 'Read in “rig 7 as found.csv”' }).click();
  await expect(landed.getByRole('status')).toHaveText(/^5 points from “rig 7 as found.csv”/);
  await expect(inHand(page).getByRole('row', { name: /^50 %/ })).toContainText('50.5');
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => tooSmall(page)).toEqual([]);
  await nothingSerious(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  await inHand(page).getByRole('button', { name: 'Keep the stroke test' }).click();
  await expect(title(page)).not.toHaveText(/^As found: stroke/);
  await expect
    .poll(async () => (await logOf(page, address)).map(({ kind }) => kind))
    .toContain('stroke-tested');
  await test.step('a lead sees what came, and what is of no job', async () => {
    await page.getByRole('navigation', { name: 'Main' }).getByRole('button', { name: /Ines/ }).click();
    await signIn(page, 'Petra Lundholm');
    await page.goto(`${FIRST}/setup?view=instruments`);
    const files = page.locator('details.landed');
    await files.locator('summary').click();
    await expect(files.getByRole('listitem').filter({ hasText: 'rig 7 as found.csv' })).toContainText(
      'RIG-7',
    );
    await expect(files.getByRole('listitem').filter({ hasText: 'RIG-70 other.csv' })).toContainText(
      'no open job',
    );
    await nothingSerious(page);
  });
});

/** Pressure over time as a rig writes it, five rows a second. */
const pressures = (rows: readonly number[]): string =>
  ['time (s),pressure (psi)', ...rows.map((at, i) => `${i / 5},${at.toFixed(1)}`), ''].join('\n');
const readIn = (page: Page, file: string) => inHand(page).getByRole('button', { name: `Read in “${file}”` });

test('a rig leaves what a relief valve did on it: each pop is looked at and kept, as read out of its file', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Jory Velde');
  const usual = defaultValve('relief-spring');
  const plate = { ...usual.plate, setPressure: psig(250) };
  const valve = { ...usual, ends: 'flanged' as const, tag: 'RIG-8', plate };
  const address = await openNamed(page, valve, { place: 'bare' });
  await workTo(page, /^As-found pop/);
  const pumped = Array.from({ length: 60 }, (_, i) => 200 + i);
  await writeFile(
    join(DROPS, 'RIG-8 pops.csv'),
    pressures([...pumped, 262, 245, ...Array.from({ length: 10 }, () => 238), 90, 0]),
  );
  await expect(readIn(page, 'RIG-8 pops.csv')).toBeVisible({ timeout: 30_000 });
  await readIn(page, 'RIG-8 pops.csv').click();
  const found = inHand(page).locator('.found');
  await expect(found).toContainText('262 psig');
  await expect(found).toContainText('shut at 238 psig');
  await nothingSerious(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => tooSmall(page)).toEqual([]);
  await page.setViewportSize({ width: 1280, height: 800 });
  await inHand(page).getByRole('button', { name: 'Keep this pop' }).click();
  const kept = async () =>
    (await jobAt(page, address)).entries.find(({ kind }) => kind === 'curve-kept')?.body;
  await expect.poll(kept).toMatchObject({ file: 'RIG-8 pops.csv', readBy: 'hand' });
});

test('a pressure test out of a rig’s file: how long it held at what is read, what leaked is counted', async ({
  page,
  browser,
}) => {
  test.setTimeout(150_000);
  await signIn(page, 'Jory Velde');
  const valve = { ...defaultValve('globe-bolted'), ends: 'flanged' as const, tag: 'RIG-9' };
  const address = await openNamed(page, valve, { place: 'bare' });
  await workTo(page, /^Hold/);
  await releaseHold(browser, page);
  await workTo(page, 'Shell test');
  const held = Array.from({ length: 5 * 200 }, () => 2240);
  await writeFile(join(DROPS, 'rig 9 shell.csv'), pressures([0, 900, 1800, ...held, 900, 0]));
  await expect(readIn(page, 'rig 9 shell.csv')).toBeVisible({ timeout: 30_000 });
  await readIn(page, 'rig 9 shell.csv').click();
  await expect(inHand(page).getByRole('status').first()).toBeVisible();
  await expect(inHand(page).getByText(/at 2240 psig from “rig 9 shell.csv”/)).toBeVisible();
  await inHand(page)
    .getByLabel(/seen in the hold$/)
    .fill('0');
  await nothingSerious(page);
  await inHand(page).getByRole('button', { name: 'Keep this test' }).click();
  await expect(title(page)).not.toHaveText('Shell test');
  const kept = async () =>
    (await jobAt(page, address)).entries.find(({ kind }) => kind === 'pressure-tested')?.body;
  await expect.poll(kept).toMatchObject({ file: 'rig 9 shell.csv', readBy: 'hand' });
});
