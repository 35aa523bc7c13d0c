import { ALL_DRILLS, constructionsFor, exerciseOf, readTheRing, type Ticket } from '@dusk-wren/core/drill';
import { must } from '@dusk-wren/core/problem';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { nothingSerious } from './axe';
import { FIRST, signIn } from './bench';
import { choose } from './choose';
import { tooSmall } from './sizes';

/** Learning: exercises on the benches of a real job, marked by computation. */

async function pick(page: Page, label: string, choice: string): Promise<void> {
  const named = page.getByRole('combobox', { name: label, exact: true });
  await choose(page.locator('.v-field').filter({ has: named }), choice);
}
const told = (page: Page): Locator => page.locator('.told');
const marks = (page: Page): Locator => page.getByRole('region', { name: 'Marks' });
async function onAPhone(page: Page): Promise<void> {
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(await tooSmall(page)).toEqual([]);
  await page.setViewportSize({ width: 1280, height: 800 });
}

test('a beginner takes a relief valve apart wrongly, is told why, and gets it right', async ({ page }) => {
  await signIn(page, 'Jory Velde');
  await page.getByRole('link', { name: 'Drill', exact: true }).click();
  const subject = page.getByRole('region', { name: 'By subject' }).getByRole('listitem').first();
  await expect(subject).toContainText('What comes off next');
  await test.step('the page is read by a screen reader, and held by a glove', async () => {
    await nothingSerious(page);
    await onAPhone(page);
  });
  // A long list is drawn as far as it is looked at: its end is there once it has been gone to.
  await subject.locator('.v-field').click();
  const relief = page.getByRole('option', { name: 'Relief, spring-loaded', exact: true });
  await expect(async () => {
    await page.keyboard.press('End');
    await relief.click({ timeout: 1000 });
  }).toPass({ timeout: 20_000 });
  await expect(subject).toContainText('Relief, spring-loaded');
  await subject.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('heading', { name: 'What comes off next' })).toBeVisible();
  const part = (name: string) => page.getByRole('list', { name: 'Parts' }).getByRole('button', { name });
  await test.step('the bonnet before the screw is backed off', async () => {
    await part('bonnet').nth(1).click();
    await expect(told(page)).toContainText('Match-mark bonnet to body');
    await part('bonnet').nth(1).click();
    await expect(told(page)).toContainText('The spring still pushes the bonnet');
    await expect(told(page)).toContainText('Back off the compression screw');
    await nothingSerious(page);
  });
  await test.step('by keys too, and after a reload it stands as it stood', async () => {
    await page.reload();
    await expect(page.getByText('1 of 9')).toBeVisible();
    const cap = page
      .getByRole('group', { name: 'Section of the valve' })
      .getByRole('button', { name: '2, cap:' });
    await cap.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('2 of 9')).toBeVisible();
  });
  await test.step('the rest in its order', async () => {
    for (const name of [
      'compression screw',
      'ring pins',
      'compression screw',
      'bonnet studs',
      'spindle',
      'disc holder',
    ])
      await part(name).click();
    await expect(page.getByText('8 of 9')).toBeVisible();
    await part('adjusting rings').click();
    await expect(marks(page)).toContainText('Passed');
    await expect(marks(page)).toContainText('1 move that something stood in the way of');
  });
  await test.step('it counts in the subject, and no job knows of it', async () => {
    await page.getByRole('link', { name: 'Back to the drills' }).click();
    await expect(page.getByRole('heading', { name: 'Drills' })).toBeVisible();
    const csv = await page.request.get(`${FIRST}/api/drills/history.csv`);
    expect((await csv.text()).trim().split('\n').at(-1)).toMatch(/comes-off-next,relief-spring,\d,90/);
  });
});

test('a positioner is brought in with few turns', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  await page.goto(`${FIRST}/drill/which-screw?on=control-globe-double-seat&level=1&seed=11`);
  await page.getByRole('button', { name: 'Stroke it' }).click();
  const stands = async (signal: string) => {
    const row = page
      .getByRole('row')
      .filter({ has: page.getByRole('button', { name: `${signal} %`, exact: true }) });
    return Number.parseFloat((await row.getByRole('cell').nth(1).innerText()).trim());
  };
  const [low, high] = [(await stands('25')) - 25, (await stands('75')) - 75];
  // Off by as much at both is zero; by more the further it goes, span.
  const screw = Math.abs(low - high) < 0.5 ? 'zero' : 'span';
  const line = page.locator('.screw', { hasText: screw === 'zero' ? 'Zero' : 'Span' });
  const per = Number((await line.innerText()).replace('−', '-').match(/([+-][\d.]+) % a turn/)?.[1]);
  const span = (high - low) / 50;
  const turns = screw === 'zero' ? -low / per : -(100 * span) / per;
  expect(Math.abs(turns)).toBeGreaterThan(0.3);
  await line.getByRole('spinbutton').fill((Math.round(Math.abs(turns) * 8) / 8).toString());
  await line.getByRole('button', { name: turns > 0 ? 'Clockwise' : 'Anticlockwise', exact: true }).click();
  await page.getByRole('button', { name: 'Stroke it' }).click();
  await expect(told(page)).toContainText('In.');
  await nothingSerious(page);
  await onAPhone(page);
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(marks(page)).toContainText('100 %');
});

test('a ring is read on a phone without a connection, and sent when there is one', async ({ browser }) => {
  test.setTimeout(120_000);
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    serviceWorkers: 'allow',
  });
  const page = await context.newPage();
  await signIn(page, 'Noor Castellane');
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  await page.goto(`${FIRST}/drill`);
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(async () => {
    const held = await page.evaluate(async () => (await caches.keys()).length);
    expect(held).toBeGreaterThan(0);
  }).toPass();
  await context.setOffline(true);
  const ticket: Ticket = { drill: 'read-the-ring', construction: 'gate-wedge', level: 1, seed: 6 };
  const { gaps, call } = must(exerciseOf(readTheRing, ticket));
  expect(call).toBe('lap again');
  await page.goto(`${FIRST}/drill/read-the-ring?on=gate-wedge&level=1&seed=6`);
  const ring = page.getByRole('application', { name: /^Seat ring/ });
  await expect(page.locator('canvas')).toBeVisible();
  await ring.scrollIntoViewIfNeeded();
  const box = await ring.boundingBox();
  if (!box) throw new Error('no ring');
  const SECTOR = 5;
  for (const { from, degrees } of gaps)
    for (let at = from + SECTOR / 2; at < from + degrees; at += SECTOR) {
      const angle = (at * Math.PI) / 180;
      const radius = (108 / 300) * box.width;
      const x = box.width / 2 + radius * Math.sin(angle);
      const y = box.height / 2 - radius * Math.cos(angle);
      await ring.tap({ position: { x, y } });
    }
  await page.getByRole('radio', { name: 'Lap again' }).tap();
  expect(await tooSmall(page)).toEqual([]);
  await page.getByRole('button', { name: 'That is my call' }).tap();
  await expect(marks(page)).toContainText('100 %');
  await page.getByRole('link', { name: 'Back to the drills' }).tap();
  await expect(page.getByText('1 done on this device')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('1 done on this device')).toBeHidden();
  const csv = await page.request.get(`${FIRST}/api/drills/history.csv`);
  expect((await csv.text()).trim().split('\n').at(-1)).toContain('read-the-ring,gate-wedge,1,100');
  await context.close();
});

test('a teacher plants a fault, sees who found it, and asks for a skill before work is planned', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Petra Lundholm');
  await page.goto(`${FIRST}/drill`);
  await page.getByRole('link', { name: 'The class' }).click();
  await test.step('sent to two', async () => {
    await expect(page.getByRole('heading', { name: 'Who can what' })).toBeVisible();
    await pick(page, 'What is seen', 'No motion at all');
    await pick(page, 'What it comes from', 'Supply pressure low');
    await page.getByLabel('What to say with it').fill('No motion since the morning');
    await pick(page, 'To', 'Jory Velde');
    await page.getByRole('option', { name: 'Tam Brackley' }).click();
    await page.keyboard.press('Escape');
    await nothingSerious(page);
    await page.getByRole('button', { name: 'Send it' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'No motion since the morning' })).toContainText(
      'Tam Brackley: not yet',
    );
    await onAPhone(page);
  });
  await test.step('found by one of them', async () => {
    const other = await (await browser.newContext()).newPage();
    await signIn(other, 'Tam Brackley');
    await other.goto(`${FIRST}/drill`);
    const sent = other.getByRole('listitem').filter({ hasText: 'No motion since the morning' });
    await sent.getByRole('link', { name: 'Where is the fault?' }).click();
    await expect(other.getByText('No motion at all')).toBeVisible();
    await other.getByRole('button', { name: /Read the supply gauge/ }).click();
    await expect(told(other)).toContainText('Low.');
    await pick(other, 'It is', 'Supply pressure low (supply)');
    await other.getByRole('button', { name: 'That is the fault' }).click();
    await expect(marks(other)).toContainText('Passed');
    await expect(other.getByText('Kept by the server')).toBeVisible();
    await other.context().close();
  });
  await test.step('seen by the teacher', async () => {
    await page.reload();
    const task = page.getByRole('listitem').filter({ hasText: 'No motion since the morning' });
    await expect(task).toContainText('Tam Brackley: 100 %');
    await expect(task).toContainText('Jory Velde: not yet');
  });
  await test.step('who lacks what relief work asks for is not planned for it', async () => {
    await expect(page.getByRole('row', { name: /^Jory Velde/ })).toContainText('not planned for relief');
    await expect(page.getByRole('row', { name: /^Tam Brackley/ })).not.toContainText('not planned');
    const pdf = await page.request.get(`${FIRST}/api/drills/certificate.pdf`, { timeout: 60_000 });
    expect(pdf.headers()['content-type']).toContain('application/pdf');
  });
});

test('every bench of a drill is held by a glove and read by a screen reader, in both looks', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await signIn(page, 'Wen Aldous');
  for (const { id, title } of ALL_DRILLS) {
    const [on = 'gate-wedge'] = constructionsFor(id);
    await page.goto(`${FIRST}/drill/${id}?on=${on}&level=2&seed=9`);
    await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
    await expect(page.getByRole('button', { name: 'I go no further' })).toBeVisible();
    for (const look of ['Daylight', 'Dusk']) {
      await nothingSerious(page);
      await page.getByRole('button', { name: look, exact: true }).click();
    }
    await onAPhone(page);
  }
});

test('ten minutes: one exercise after the other, and a valve popped by a hand on the pump', async ({
  page,
}) => {
  await signIn(page, 'Tam Brackley');
  await page.goto(`${FIRST}/drill`);
  await page.getByRole('button', { name: '10 minutes of it' }).click();
  const next = page.getByRole('button', { name: /^Next of the round/ });
  let done = 0;
  for (let goesOn = true; goesOn; done += 1) {
    await page.getByRole('button', { name: 'I go no further' }).click();
    await page.getByRole('button', { name: 'Yes, mark it as it stands' }).click();
    await expect(marks(page)).toContainText('Not yet');
    goesOn = await next.isVisible();
    if (goesOn) await next.click();
  }
  expect(done).toBeGreaterThan(1);
  await page.getByRole('link', { name: 'Back to the drills' }).click();
  const lately = page.getByRole('region', { name: 'Lately' }).getByRole('listitem');
  await expect(lately.first()).toContainText('not yet');

  await page.goto(`${FIRST}/drill/set-it?on=relief-spring&level=1&seed=21`);
  await page.getByRole('button', { name: 'Pump it up' }).click();
  await expect(page.getByRole('button', { name: 'Hold the pump' })).toBeVisible();
  await expect(told(page)).toContainText('Popped at', { timeout: 20_000 });
  await page.getByRole('button', { name: 'Let the pressure off' }).click();
  await expect(told(page)).toContainText('Pressure off.');
});
