import { expect, test } from '@playwright/test';
import { FIRST, inHand, openJob, SECOND, signIn, title } from './bench';

test('two people on one job, on two servers: what one does the other sees, and both logs agree', async ({
  browser,
}) => {
  const [ines, wen] = await Promise.all(
    [browser.newContext(), browser.newContext()].map(async (context) => (await context).newPage()),
  );
  if (!ines || !wen) throw new Error('no pages');
  await signIn(ines, 'Ines Okoro', FIRST);
  await signIn(wen, 'Wen Aldous', SECOND);
  await openJob(ines, 'WF-07');
  await openJob(wen, 'WF-07');
  const step = await title(ines).innerText();
  await expect(title(wen)).toHaveText(step);

  await test.step('a step done on one screen is done on the other, without reload', async () => {
    await inHand(wen).getByRole('button', { name: 'Done' }).click();
    await expect(title(ines)).not.toHaveText(step);
    await expect(ines.getByText(/done .*, Wen/).first()).toBeVisible();
  });

  await test.step('both press at once: it counts once, and whoever was slower is told', async () => {
    const now = await title(ines).innerText();
    await expect(title(wen)).toHaveText(now);
    await Promise.all([
      inHand(ines).getByRole('button', { name: 'Done' }).click(),
      inHand(wen).getByRole('button', { name: 'Done' }).click(),
    ]);
    await expect(title(ines)).not.toHaveText(now);
    await expect(async () =>
      expect(await title(ines).innerText()).toBe(await title(wen).innerText()),
    ).toPass();
    const log = async (page: typeof ines) => {
      await page.keyboard.press('h');
      return page.locator('.history li .what').allInnerTexts();
    };
    await expect(async () => {
      const [one, other] = [await log(ines), await log(wen)];
      expect(one).toEqual(other);
      expect(one.filter((line) => line.trim() === now)).toHaveLength(1);
    }).toPass();
  });

  await test.step('a note and its correction reach the other, struck through', async () => {
    await ines.getByLabel('Add a note').fill('gasket face looks new');
    await ines.getByRole('button', { name: 'Keep' }).click();
    await expect(wen.getByText('gasket face looks new')).toBeVisible();
    await ines
      .locator('.history li', { hasText: 'gasket face looks new' })
      .getByRole('button', { name: 'Strike' })
      .click();
    await ines.getByLabel('Why it is wrong').fill('it was the other valve');
    await ines.getByRole('button', { name: 'Strike it' }).click();
    await expect(wen.locator('.history li.struck', { hasText: 'gasket face looks new' })).toBeVisible();
  });

  await test.step('and all of it is there after a reload', async () => {
    await wen.reload();
    await expect(title(wen)).toBeVisible();
    await wen.keyboard.press('h');
    await expect(wen.locator('.history li.struck')).toHaveCount(1);
  });
});
