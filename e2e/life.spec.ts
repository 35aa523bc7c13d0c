import { dueList, valvePage } from '@dusk-wren/contract';
import { expect, test, type Page } from '@playwright/test';
import { nothingSerious } from './axe';
import { releaseHold, signCertificate } from './another-screen';
import { inHand, signIn, title } from './bench';
import { openAgain } from './own-job';
import { workTo } from './plain';
import { tooSmall } from './sizes';

/** A page of the shop that this journey is signed in at. */
const turnTo = (page: Page, path: string) => page.goto(new URL(path, page.url()).href);

/** The page of a valve that the shop had years ago. */
async function openValve(page: Page, tag: string): Promise<void> {
  await turnTo(page, '/valves');
  await page.getByLabel(/^Find/).fill(tag);
  // What is found takes the place of what was listed: a hand waits for it too.
  const found = page.getByRole('list', { name: 'Valves' }).getByRole('link');
  await expect(found).toHaveCount(1);
  await found.click();
  await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText(tag);
}

test('the next job begins with what the last one left, and puts right what was left for now', async ({
  page,
}) => {
  await signIn(page, 'Ines Okoro');

  await test.step('the page of the valve says what was done, what is getting used up and what was left', async () => {
    await openValve(page, 'HV-2231');
    const life = page.getByRole('region', { name: 'Its life' });
    await expect(life.getByText('found leaking').first()).toBeVisible();
    await expect(page.getByRole('region', { name: 'What is getting used up' })).toContainText(
      /Stock of the seat.*Meets it/,
    );
    await life.getByText('As found and as left').first().click();
    await expect(life.getByRole('cell', { name: 'stock of the seat' }).first()).toBeVisible();
    await page.getByText('What it brings into its next job').click();
    await expect(page.getByRole('cell', { name: 'Packing rings fitted' })).toBeVisible();
    await nothingSerious(page);
    expect(await tooSmall(page)).toEqual([]);
    await openValve(page, 'FV-61');
    await expect(page.getByText(/Left for now, put right by/)).toBeVisible();
  });

  await test.step('on the bench a figure stands beside the one that was left', async () => {
    await openAgain(page, 'FV-61', { place: 'bare' });
    await workTo(page, 'Plug in its guides: clearance');
    await expect(
      inHand(page)
        .getByText(/^last time .* on .*2025/)
        .first(),
    ).toBeVisible();
    await nothingSerious(page);
  });

  await test.step('what was left for now is a step of it', async () => {
    await workTo(page, /^Put right what was left for now: the bushing of the yoke/);
    await expect(inHand(page)).toContainText('to be put right by');
  });
});

test('a relief valve that was found stuck comes back on the shortest rung, whatever it had before', async ({
  page,
  browser,
}) => {
  // A lead may seal it.
  await signIn(page, 'Petra Lundholm');
  // As far as the quote: what it was found like is all that the next interval wants.
  await openAgain(page, 'PSV-121', { place: 'bare', scope: 'quote' });
  await workTo(page, /^As-found pop test/);
  for (const [what, value] of [
    ['set pressure, as found', '460 psig'],
    ['reseat, as found', '250 psig'],
    ['first leak, as found', '440 psig'],
  ] as const) {
    await inHand(page).getByLabel(what).fill(value);
  }
  await inHand(page).getByRole('button', { name: 'Keep all 3' }).click();
  await expect(title(page)).not.toHaveText(/^As-found/);
  await workTo(page, /^(Hold|Sign the report)/);
  if ((await title(page).innerText()).startsWith('Hold')) {
    await releaseHold(browser, page);
    await workTo(page, 'Sign the report');
  }
  const because = inHand(page).getByRole('list', { name: 'What says when it is due' });
  await expect(because).toContainText('12 months: found stuck: the shortest rung of the ladder');
  await nothingSerious(page);
  await signCertificate(browser, page, 'Noor Castellane');
  await openValve(page, 'PSV-121');
  await expect(page.getByText(/^Due .*12 months: found stuck/)).toBeVisible();
});

test('what is due is listed month by month with its reason, and a month is opened with one press', async ({
  page,
}) => {
  await signIn(page, 'Petra Lundholm');
  await turnTo(page, '/valves/due');
  await page.getByRole('radio', { name: 'A year' }).click();
  const month = page.locator('.month').filter({ hasText: 'WF-2' }).first();
  await expect(month).toContainText('12 months: found leaking: the shortest there is');
  await nothingSerious(page);
  expect(await tooSmall(page)).toEqual([]);

  await test.step('as a calendar and as CSV', async () => {
    const [calendar, csv] = await Promise.all(
      ['ics', 'csv'].map(async (kind) => {
        const href = await page
          .getByRole('link', { name: kind === 'ics' ? 'Calendar' : 'CSV' })
          .getAttribute('href');
        return (await page.request.get(new URL(href ?? '', page.url()).href)).text();
      }),
    );
    expect(calendar).toContain('BEGIN:VEVENT');
    expect(csv).toContain('12 months: found leaking: the shortest there is');
  });

  const at = (path: string) => new URL(path, page.url()).href;
  await test.step('opened, each is on a bench with its reason, and not opened twice', async () => {
    const tag = await month.getByRole('listitem').first().getByRole('link').first().innerText();
    await month.getByRole('button', { name: /^Open/ }).click();
    await expect(page.getByRole('status')).toContainText(/jobs? opened/);
    await expect(page.locator('.month').filter({ hasText: tag }).first()).toContainText('on a bench');
    const found = await page.request.get(at('/api/due?by=2099-01-01&limit=500'));
    const line = dueList.parse(await found.json()).valves.find((each) => each.tag === tag);
    const told = valvePage.parse(
      await (await page.request.get(at(`/api/register/${line?.id ?? ''}`))).json(),
    );
    expect(told.jobs[0]?.reported).toBe(`Due: ${line?.due.words ?? ''}`);
  });
});

test('all valves together: what cost most, what ailed them, and the jobs behind each', async ({ page }) => {
  await signIn(page, 'Petra Lundholm');
  await turnTo(page, '/valves/fleet');
  await page.getByRole('radio', { name: 'Eight years' }).click();
  await page
    .getByRole('region', { name: 'What ailed them' })
    .getByRole('button', { name: /Seat or closure worn/ })
    .click();
  const behind = page.getByRole('region', { name: /^Jobs behind it/ });
  await expect(behind.getByRole('link', { name: /^WF-/ }).first()).toBeVisible();
  await page.getByRole('button', { name: /came back within ninety days/ }).click();
  await expect(behind).toContainText('Gland leaks again, six weeks after');

  await test.step('a part by its life, with a Weibull line where enough have failed', async () => {
    await page
      .getByRole('region', { name: 'Parts that failed' })
      .getByRole('button', { name: /^Disc Globe/ })
      .click();
    const life = page.getByRole('region', { name: 'Life of the disc' });
    await expect(life).toContainText('They wear');
    await nothingSerious(page);
    expect(await tooSmall(page)).toEqual([]);
  });

  await test.step('what to keep on the shelf, by what jobs took', async () => {
    await turnTo(page, '/store');
    await page.getByRole('button', { name: 'What to keep' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'jobs in three years' }).first()).toBeVisible();
    await nothingSerious(page);
  });
});
