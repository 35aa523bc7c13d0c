import { workingDaysFrom } from '@dusk-wren/core/plan';
import { expect, test, type Page } from '@playwright/test';
import { nothingSerious } from './axe';
import { postFrom } from './api';
import { inHand, signIn } from './bench';
import { choose } from './choose';
import { openOwnJob } from './own-job';
import { ownShop } from './own-shop';
import { workTo } from './plain';

/** The plan of the shop's week, as a lead and whoever works by it see it. */

const shop = ownShop();

const plan = async (page: Page) => {
  await page.goto(`${shop.url}/week`);
  await expect(page.locator('.piece').first()).toBeVisible();
};
const late = (page: Page) => page.getByRole('region', { name: 'Late jobs' });

/** Somebody away from tomorrow on, for a fortnight, as it is set on Setup. */
async function isAway(page: Page, name: string): Promise<void> {
  await page.locator('summary', { hasText: name }).click();
  const form = page.getByRole('form', { name: `${name} is away` });
  for (const [label, day] of [
    ['Away from', 'Tomorrow'],
    ['To (may be left out)', 'In two'],
  ] as const) {
    await form.getByLabel(label).click();
    await page
      .getByRole('group', { name: label.replace(' (may be left out)', '') })
      .getByText(day)
      .click();
    await expect(page.locator('.calendar')).toBeHidden();
  }
  await form.getByLabel('Why').fill('first aid course');
  await form.getByRole('button', { name: 'Is away' }).click();
  await expect(page.locator('details[open]').getByText('first aid course')).toBeVisible();
}

test('a finding makes a job late; its part is asked for sooner, and it is on time again', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await signIn(page, 'Petra Lundholm', shop.url);
  const due = workingDaysFrom(new Date().toISOString(), 4);
  const address = await openOwnJob(page, 'bare', due);
  const id = new URL(address).pathname.split('/').at(-1) ?? '';
  const want = { hard: true, weight: 1, notBefore: null };
  expect((await postFrom(page, `/api/week/jobs/${id}/want`, want)).status()).toBe(200);
  /** By the plan of now, which is made where there is none: what is kept beside the work may be of a while ago. */
  const lateness = async () => {
    await page.request.get(`${shop.url}/api/week`);
    const said = await page.request.get(`${shop.url}/api/week/jobs/${id}`);
    return ((await said.json()) as { lateMinutes: number }).lateMinutes;
  };
  await plan(page);
  expect(await lateness()).toBe(0);
  await test.step('a seat that is cut too deep wants a new ring, which is days away', async () => {
    await page.goto(address);
    await workTo(page, 'Seating face of the seat');
    await inHand(page)
      .getByRole('radio', { name: /Wire drawn/ })
      .click();
    await inHand(page).getByLabel('How deep').fill('90 thou');
    await expect(inHand(page).getByText(/Renew the seat/)).toBeVisible();
    await inHand(page).getByRole('button', { name: 'Take the call' }).click();
    await expect(page.locator('[id^="step-order"]')).toBeVisible();
  });
  const { tag } = await test.step('the week has it late, with why and what would cure it', async () => {
    await plan(page);
    await expect.poll(lateness, { timeout: 60_000 }).toBeGreaterThan(0);
    const own = late(page).getByRole('article').filter({ hasText: 'OWN-' }).first();
    const words = (await own.locator('b').first().textContent()) ?? '';
    await own.getByRole('button', { expanded: false }).first().click();
    await expect(own.getByText(/wait for a part/).first()).toBeVisible();
    await own.getByRole('button', { name: 'What would cure it' }).click();
    const sooner = own.getByRole('listitem').filter({ hasText: /days? sooner/ });
    await expect(sooner.first()).toBeVisible({ timeout: 60_000 });
    await sooner.first().getByRole('link').click();
    return { tag: words };
  });
  await test.step('it is ordered for tomorrow, and the week follows', async () => {
    await expect(page).toHaveURL(address);
    await workTo(page, /^Order /);
    await inHand(page)
      .getByLabel(/expected/i)
      .click();
    await page
      .getByRole('group', { name: /expected/i })
      .getByText('Tomorrow')
      .click();
    await expect(page.locator('.calendar')).toBeHidden();
    await inHand(page)
      .getByRole('button', { name: /ordered/ })
      .click();
    await plan(page);
    await expect.poll(lateness, { timeout: 60_000 }).toBe(0);
    await expect(late(page).getByText(tag)).toHaveCount(0);
    const csv = await (await page.request.get(`${shop.url}/api/week.csv`)).text();
    expect(csv).toContain(tag);
  });
});

test('who is away makes a job late, a cure is taken, and the day sheet follows', async ({ page }) => {
  test.setTimeout(180_000);
  await signIn(page, 'Petra Lundholm', shop.url);
  await test.step('three of four are away', async () => {
    await page.goto(`${shop.url}/setup?view=hours`);
    for (const name of ['Ines Okoro', 'Tam Brackley', 'Jory Velde']) {
      await isAway(page, name);
      await page.locator('summary', { hasText: name }).click();
    }
    await nothingSerious(page);
  });
  const words = await test.step('what is late says by how much and why, and what would cure it', async () => {
    await plan(page);
    await nothingSerious(page);
    // One whose cure is somebody who stays: others wait for parts, or for nobody that is there. An evening is a tenth of what
    // the least late are late by at least, and these are the last.
    for (const job of (await late(page).getByRole('article').all()).toReversed()) {
      await job.getByRole('button', { expanded: false }).first().click();
      await expect(job.getByRole('listitem').first()).toBeVisible();
      await job.getByRole('button', { name: 'What would cure it' }).click();
      const cures = job.getByRole('list', { name: 'Cures' });
      await expect(cures.or(job.getByText('Nothing that was tried'))).toBeVisible({ timeout: 60_000 });
      const stays = cures
        .getByRole('listitem')
        .filter({ hasText: / stays / })
        .first();
      if ((await stays.count()) === 0) continue;
      const said = (await stays.locator('b').textContent()) ?? '';
      await stays.getByRole('button', { name: 'Take it' }).click();
      return said;
    }
    throw new Error('nothing is late that anybody could stay for');
  });
  const [, name = '', from = '', to = ''] =
    /^(\w+ \w+) stays .*, (\d\d:\d\d) to (\d\d:\d\d)$/.exec(words) ?? [];
  await test.step('it is in the hours, and in the day sheet of that evening', async () => {
    await expect
      .poll(async () => {
        const { people } = (await (await page.request.get(`${shop.url}/api/setup/hours`)).json()) as {
          people: { name: string; extra: { from: string; to: string }[] }[];
        };
        return people.find((each) => each.name === name)?.extra.map((each) => [each.from, each.to]);
      })
      .toContainEqual([from, to]);
    await choose(page.locator('.files .v-field'), name);
    const sheet = await page.getByRole('link', { name: /^Day sheet/ }).getAttribute('href');
    const pdf = await page.request.get(new URL(sheet ?? '', shop.url).href, { timeout: 60_000 });
    expect([pdf.status(), pdf.headers()['content-type']]).toEqual([200, 'application/pdf']);
    const calendar = await page.getByRole('link', { name: 'Calendar', exact: true }).getAttribute('href');
    const text = await (await page.request.get(new URL(calendar ?? '', shop.url).href)).text();
    expect(text).toContain('BEGIN:VEVENT');
  });
});

test('a piece is moved by keys, with who becomes late said before it is put down', async ({ page }) => {
  test.setTimeout(120_000);
  await signIn(page, 'Petra Lundholm', shop.url);
  await plan(page);
  const piece = page.locator('.piece:not(.wait):not(.hold)').nth(1);
  const key = (await piece.getAttribute('data-key')) ?? '';
  const own = page.locator(`[data-key="${key}"]`);
  await piece.focus();
  await page.keyboard.press('m');
  await expect(own).toHaveClass(/held/);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  const hand = page.locator('.in-hand');
  await expect(hand.getByRole('listitem').first()).toContainText(/late|Nobody|move|cannot/);
  await expect(hand.getByRole('button', { name: /Put it here/ })).toBeEnabled({ timeout: 20_000 });
  await page.keyboard.press('Enter');
  await expect(own).toHaveAccessibleName(/put here by a lead/, { timeout: 20_000 });
  await page.reload();
  await expect(own).toHaveAccessibleName(/put here by a lead/);
  await own.click();
  await page.getByRole('button', { name: 'Goes by the plan again' }).click();
  await expect(page.getByRole('button', { name: /put here by a lead/ })).toHaveCount(0, { timeout: 20_000 });
});

test('who works by the plan sees what is theirs, moves nothing, and on a phone reads it as a list', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Wen Aldous', shop.url);
  const mine = page.getByRole('region', { name: 'Planned for you' });
  await expect(mine.getByRole('link').first()).toBeVisible();
  await nothingSerious(page);
  await page.goto(`${shop.url}/week`);
  await expect(page.getByRole('region', { name: 'Wen Aldous' }).getByRole('button').first()).toBeVisible();
  await page.getByRole('region', { name: 'Wen Aldous' }).getByRole('button').first().click();
  await expect(page.locator('.in-hand')).toBeVisible();
  await expect(page.getByRole('button', { name: /Move it/ })).toHaveCount(0);
  await nothingSerious(page);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});

test('a week out of a file is planned and proved in the browser', async ({ page }) => {
  test.setTimeout(120_000);
  await signIn(page, 'Wen Aldous', shop.url);
  await page.goto(`${shop.url}/week/file`);
  await page.getByRole('button', { name: 'Use the sample' }).click();
  // Fisher and Thompson 1963, six jobs on six machines: 55, and none below it.
  await expect(page.locator('.figures')).toContainText('ends at55', { timeout: 90_000 });
  await expect(page.locator('.figures')).toContainText('none below55');
  await nothingSerious(page);
});

test('a piece is dragged along its rail, and lies there after a reload', async ({ page }) => {
  await signIn(page, 'Petra Lundholm', shop.url);
  await plan(page);
  const pieces = page.locator('.piece:not(.wait):not(.hold):not(.begun)');
  // One of the morning, so that it stays in the day that is shown.
  const at = await pieces.evaluateAll((all) =>
    all.findIndex((each) => each.getBoundingClientRect().width > 30 && each.getBoundingClientRect().x > 400),
  );
  const piece = pieces.nth(at);
  const own = page.locator(`[data-key="${(await piece.getAttribute('data-key')) ?? ''}"]`);
  const box = await own.boundingBox();
  if (!box) throw new Error('it is not drawn');
  const [x, y] = [box.x + 4, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 20, y, { steps: 4 });
  await expect(own).toHaveClass(/held/);
  await page.mouse.move(x + 60, y, { steps: 8 });
  await page.mouse.up();
  // Let go where somebody becomes late it waits to be put down on purpose.
  const put = page.getByRole('button', { name: /Put it here/ });
  await expect(async () => {
    if (await put.isEnabled({ timeout: 100 }).catch(() => false)) await put.click();
    await expect(own).toHaveAccessibleName(/put here by a lead/, { timeout: 1000 });
  }).toPass({ timeout: 30_000 });
  await page.reload();
  await expect(own).toHaveAccessibleName(/put here by a lead/);
  await own.click();
  await page.getByRole('button', { name: 'Goes by the plan again' }).click();
  await expect(page.getByRole('button', { name: /put here by a lead/ })).toHaveCount(0, { timeout: 20_000 });
});

test('a new job is promised a day by its chance, and taken in for it', async ({ page }) => {
  await signIn(page, 'Petra Lundholm', shop.url);
  await plan(page);
  const section = page.getByRole('region', { name: 'A new job' });
  await choose(section.locator('.v-field').last(), 'Globe, bolted bonnet');
  await section.getByRole('button', { name: 'When could it be ready?' }).click();
  const days = section.getByRole('list', { name: 'Ready by the end of' });
  await expect(days.getByRole('listitem').first()).toBeVisible({ timeout: 60_000 });
  await nothingSerious(page);
  await page.goto(`${shop.url}/jobs/new`);
  await page.getByRole('button', { name: 'When could it be ready?' }).click();
  const day = page.getByRole('list', { name: 'Ready by the end of' }).getByRole('button').last();
  await expect(day).toBeVisible({ timeout: 60_000 });
  await day.click();
  await expect(day).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('Wanted by (may be left out)')).not.toHaveValue('');
});
