import { expect, test } from '@playwright/test';
import { psig } from '@dusk-wren/core/quantity';
import { defaultValve } from '@dusk-wren/core/valve';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
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
