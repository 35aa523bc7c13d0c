import { expect, test } from '@playwright/test';
import { nothingSerious } from './axe';
import { signIn } from './bench';
import { choose } from './choose';
import { tooSmall } from './sizes';

test('a valve is found by half of two words, put elsewhere, scrapped and back, and its next job opened from its page', async ({
  page,
}) => {
  await signIn(page, 'Petra Lundholm');
  await page.getByRole('link', { name: 'Valves' }).click();
  const found = page.getByRole('list', { name: 'Valves' }).getByRole('link');

  await test.step('valves come in from a file, seen row by row before', async () => {
    await page.getByText('From and to a file').click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a file' }).click();
    const rows = [
      'tag,customer,kind,place,size',
      'QX-9,Mossgate sugar refinery,gate-wedge,yard,NPS 6',
      'QX-10,Mossgate sugar refinery,teapot,yard,',
    ];
    const buffer = Buffer.from(rows.join('\r\n'));
    await (await chooser).setFiles({ name: 'yard.csv', mimeType: 'text/csv', buffer });
    await expect(page.getByText('yard.csv: 1 good, 1 bad.')).toBeVisible();
    await nothingSerious(page);
    await page.getByRole('button', { name: 'Take 1 row, leave 1' }).click();
    await expect(page.getByText('yard.csv: 1 written, 1 left out.')).toBeVisible();
    await page.getByLabel(/^Find/).fill('qx9');
    await expect(found).toHaveCount(1);
    await page.getByLabel(/^Find/).fill('');
    await page.getByText('From and to a file').click();
  });

  await test.step('found by words, narrowed, and opened by Enter', async () => {
    await page.keyboard.press('/');
    await page.getByLabel(/^Find/).pressSequentially('pump har');
    // Whatever else the shop has by now, all that is found is a pump's of that works.
    await expect(found.filter({ hasText: 'Mossgate' })).toHaveCount(0);
    await expect(found.filter({ hasText: 'DH-402' })).toBeVisible();
    await page.getByLabel(/^Find/).fill('dh431');
    await expect(found).toHaveCount(1);
    await expect(found.first()).toContainText('here 2 times');
    await nothingSerious(page);
    expect(await tooSmall(page)).toEqual([]);
    await page.getByLabel(/^Find/).press('Enter');
    await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText('DH-431');
  });

  await test.step('moved with why, it says so after a reload', async () => {
    await page.getByRole('button', { name: 'It stands elsewhere' }).click();
    await page.getByLabel('Place').fill('pump house, riser 4');
    await page.getByLabel(/^Why/).fill('swapped with DH-402');
    await nothingSerious(page);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText(/at pump house, riser 4, was at .*: swapped with DH-402/)).toBeVisible();
    await page.reload();
    await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText('riser 4');
  });

  await test.step('scrapped it takes no job; back in place it does', async () => {
    const stands = async (standing: string) => {
      await page.getByRole('button', { name: 'It stands elsewhere' }).click();
      await choose(page.locator('.move .v-select .v-field'), standing);
      await page.getByRole('button', { name: 'Keep it' }).click();
      await expect(page.getByRole('button', { name: 'Keep it' })).toHaveCount(0);
    };
    await stands('scrapped');
    await expect(page.getByRole('button', { name: /^Open a job/ })).toBeDisabled();
    await stands('in place');
    await page.getByRole('button', { name: 'Open a job' }).click();
    await expect(page.getByText(/DH-431 from file/)).toBeVisible();
    await page.getByLabel('What was reported').fill('weeps at the gland');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page.locator('#in-hand')).toBeVisible();
  });

  await test.step('the job stands in its life, on a phone too', async () => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.getByRole('link', { name: 'Valves' }).click();
    await page.getByLabel(/^Find/).fill('DH-431');
    await expect(found).toHaveCount(1);
    await expect(found.first()).toContainText('on a bench');
    expect(await tooSmall(page)).toEqual([]);
    await found.first().click();
    const life = page.getByRole('region', { name: 'Its life' });
    await expect(life).toContainText('Overhaul: weeps at the gland');
    await expect.poll(() => tooSmall(page)).toEqual([]);
    await nothingSerious(page);
    await page.getByRole('button', { name: 'To its bench' }).click();
    await expect(page.locator('#in-hand')).toBeVisible();
  });
});
