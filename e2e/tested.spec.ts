import { defaultValve } from '@dusk-wren/core/valve';
import { expect, test, type Page } from '@playwright/test';
import { releaseHold } from './another-screen';
import { nothingSerious } from './axe';
import { inHand, signIn, title } from './bench';
import { openOn } from './own-job';
import { workTo } from './plain';
import { tooSmall } from './sizes';

const button = (page: Page, name: string | RegExp) => inHand(page).getByRole('button', { name });

/** Types a shell test that weeps, as somebody without a rig reads it. */
async function weeps(page: Page): Promise<void> {
  await inHand(page).getByText('No rig: type what was read').click();
  await inHand(page).getByLabel('Pressure held').fill('2230 psig');
  await inHand(page).getByLabel('drops a minute').fill('6');
  await button(page, 'Keep what was read').click();
  await expect(inHand(page).getByText('What it may come from, the cheapest first')).toBeVisible();
}
const itWas = (page: Page, cause: string) =>
  inHand(page).locator('li', { hasText: cause }).getByRole('button', { name: 'It was this' }).click();

test('a shell that weeps at its joint: tightened once more with the pressure off, then that joint alone is opened', async ({
  page,
  browser,
}) => {
  test.setTimeout(150_000);
  await signIn(page, 'Jory Velde');
  await openOn(page, { ...defaultValve('globe-bolted'), ends: 'flanged' }, { place: 'bare' });
  await workTo(page, /^Hold/);
  await releaseHold(browser, page);
  await workTo(page, 'Shell test');
  await test.step('where it weeps is said, and only that is put right before it is tested again', async () => {
    await weeps(page);
    expect(await tooSmall(page)).toEqual([]);
    await nothingSerious(page);
    await itWas(page, 'the bonnet or cover joint');
    await expect(title(page)).toHaveText(/the last pass of the joint once more/);
    await button(page, 'Open the vent, watch the gauge').click();
    await workTo(page, 'Shell test');
  });
  await test.step('it weeps there again: bonnet and gasket come off again, the packing and the seat are left', async () => {
    await weeps(page);
    await itWas(page, 'the bonnet or cover joint');
    await expect(title(page)).toHaveText('Vent the rig and prove zero again');
    const plan = page.getByRole('region', { name: 'The plan' });
    await expect(plan.getByText('Old gasket out, to scrap')).toBeVisible();
    await expect(plan.getByText(/^Both faces of the joint/)).toBeVisible();
    await expect(plan.getByText(/packing out|Lap /)).toHaveCount(0);
  });
});
