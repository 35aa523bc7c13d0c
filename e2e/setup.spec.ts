import { expect, test, type Locator, type Page } from '@playwright/test';
import { TOTP } from 'otpauth';
import { postFrom } from './api';
import { nothingSerious } from './axe';
import { PIN, signIn, title } from './bench';
import { choose } from './choose';
import { openOwnJob } from './own-job';
import { tooSmall } from './sizes';

test('a lead adds a technician, who signs in by a code once and by a PIN of their own from then on, and leaves', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Petra Lundholm');
  await page.getByRole('link', { name: 'Setup' }).click();
  const person = page.locator('.person', { hasText: 'Wim Adeyo' });
  const code = await test.step('added by name and role: the code is shown this once', async () => {
    await page.getByLabel('Somebody new: name').fill('Wim Adeyo');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    const slip = page.getByRole('region', { name: 'Code for the first sign-in' });
    const shown = await slip.getByRole('status').innerText();
    expect(shown).toMatch(/^\d{4} \d{4}$/);
    expect(await tooSmall(page)).toEqual([]);
    await nothingSerious(page);
    await slip.getByRole('button', { name: 'I have passed it on' }).click();
    await expect(slip).toHaveCount(0);
    await expect(person).toContainText('has not signed in yet');
    return shown;
  });
  await test.step('at their own screen the code opens the choice of a PIN, and nothing else', async () => {
    const theirs = await (await browser.newContext()).newPage();
    await theirs.goto(new URL('/sign-in', page.url()).href);
    await theirs.getByRole('button', { name: 'Wim Adeyo technician' }).click();
    await theirs.getByLabel('PIN of Wim Adeyo').fill(code);
    await theirs.getByRole('button', { name: 'Sign in' }).click();
    await expect(theirs.getByRole('status')).toContainText('Choose a PIN of your own now');
    await theirs.getByLabel('PIN of your own, Wim Adeyo').fill('7531');
    await theirs.getByRole('button', { name: 'This is my PIN' }).click();
    await expect(theirs.getByRole('navigation', { name: 'Main' })).toBeVisible();
    await expect(theirs.getByRole('link', { name: 'Setup' })).toHaveCount(0);
    await page.reload();
    await expect(person).toContainText('signed in at one screen');
    await test.step('leaving ends it at their next press', async () => {
      await person.locator('summary').click();
      await person.getByRole('button', { name: 'Leaves the shop' }).click();
      await person.getByRole('button', { name: 'Yes: Wim Adeyo leaves now' }).click();
      await expect(person).toContainText('left on');
      await theirs.reload();
      await expect(theirs.getByText('Who is at this bench?')).toBeVisible();
      await expect(theirs.getByRole('button', { name: /^Wim Adeyo/ })).toHaveCount(0);
    });
  });
  await test.step('what is known of them is erased, and said to be', async () => {
    const person = page.locator('.person', { hasText: 'Wim Adeyo' });
    await person.getByRole('button', { name: 'Erase what is known of them' }).click();
    await person.getByRole('button', { name: 'Yes: erase Wim Adeyo' }).click();
    await expect(person).toHaveCount(0);
    await expect(page.locator('.person', { hasText: 'Former technician' })).toContainText('erased');
  });
  await test.step('and who changed it is written down', async () => {
    await page.getByRole('button', { name: 'Changes' }).click();
    await page.getByLabel('Find by a word or a name').fill('Wim');
    await expect(page.getByText('Wim Adeyo has left')).toBeVisible();
    await expect(page.getByText('Wim Adeyo added, as technician')).toBeVisible();
  });
});

test('switching at a bench: two touches and a PIN, and the job in hand is the next person’s', async ({
  page,
}) => {
  await signIn(page, 'Ines Okoro');
  const address = await openOwnJob(page);
  const heading = await title(page).innerText();
  await page.getByRole('navigation', { name: 'Main' }).getByRole('button', { name: /Ines/ }).click();
  await page.getByRole('button', { name: /^Jory Velde/ }).click();
  await page.getByLabel('PIN of Jory Velde').fill(PIN);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(address);
  await expect(title(page)).toHaveText(heading);
  await expect(
    page.getByRole('navigation', { name: 'Main' }).getByRole('button', { name: /Jory/ }),
  ).toBeVisible();
  await page.getByRole('navigation', { name: 'Main' }).getByRole('button', { name: /Jory/ }).click();
  // Who was here last stands first.
  const people = page.getByRole('list', { name: 'People' }).getByRole('button');
  await expect(people.nth(0)).toContainText('Jory Velde');
  await expect(people.nth(1)).toContainText('Ines Okoro');
});

test('a bench that is shared: a badge and a PIN; a screen left alone locks, leaves nothing to read, and goes on', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.clock.install();
  await signIn(page, 'Petra Lundholm');
  await page.goto(new URL('/setup', page.url()).href);
  await test.step('a lead gives a technician the badge that they scan', async () => {
    const person = page.locator('.person', { hasText: 'Jory Velde' });
    await person.locator('summary').click();
    await person.getByLabel('A badge: scan it').fill('0099-4471');
    await person.getByLabel('A badge: scan it').press('Enter');
    await expect(person.getByLabel('Another badge: scan it')).toBeVisible();
    await page.getByRole('navigation', { name: 'Main' }).getByRole('button', { name: /Petra/ }).click();
  });
  const scanned = async (code: string) => {
    const field = page.getByLabel('First letters of a name, or scan a badge');
    await expect(field).toBeFocused();
    await field.pressSequentially(code);
    await field.press('Enter');
  };
  await test.step('a badge that nobody has is said to be that; theirs asks for their PIN', async () => {
    await scanned('7777-0000');
    await expect(page.getByRole('alert')).toContainText('Nobody here has that badge');
    await scanned('0099-4471');
    await expect(page.getByLabel('PIN of Jory Velde')).toBeFocused();
    await nothingSerious(page);
    await page.getByLabel('PIN of Jory Velde').fill(PIN);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('button', { name: /^Jory Velde.*sign out/ })).toBeVisible();
  });
  const address = await openOwnJob(page);
  const tag =
    /OWN-[0-9a-f]+/.exec(await page.getByRole('group', { name: 'Nameplate' }).innerText())?.[0] ?? '';
  await page.getByRole('button', { name: 'History', exact: true }).click();
  await expect(page.getByRole('button', { name: 'History', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await test.step('left alone for as long as the shop says, it locks, and nothing of it can be read', async () => {
    await page.clock.fastForward('14:00');
    await expect(page).toHaveURL(address);
    await page.clock.fastForward('02:00');
    await expect(page.getByText('Locked: nobody touched this screen for 15 minutes.')).toBeVisible();
    const lies = await everythingKept(page);
    expect(lies).toContain('dusk-wren');
    for (const word of [tag, 'job-opened', 'a journey of its own', 'Dial']) expect(lies).not.toContain(word);
  });
  await test.step('a PIN alone goes on where it was left', async () => {
    const pin = page.getByLabel('PIN of Jory Velde');
    // What is typed before the page has settled is typed into the page before.
    await expect(async () => {
      await pin.fill(PIN);
      await expect(page.getByRole('button', { name: 'Sign in' })).toBeEnabled({ timeout: 1000 });
    }).toPass();
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page).toHaveURL(address);
    await expect(page.getByRole('button', { name: 'History', exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
  });
});

test('a second factor: a lead asks for it, sets an authenticator up at the next sign-in, and shows its code', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await signIn(page, 'Petra Lundholm');
  const { origin } = new URL(page.url());
  const asked = async (secondFactor: string) => {
    const shop = (await (await page.request.get(`${origin}/api/setup/shop`)).json()) as object;
    expect((await postFrom(page, '/api/setup/shop', { ...shop, secondFactor })).status()).toBe(200);
  };
  await page.goto(`${origin}/setup`);
  await page.getByRole('button', { name: 'Shop' }).click();
  await choose(page.locator('.v-field', { hasText: 'Who shows a code' }), 'leads');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('status')).toContainText('Kept: ');
  await page.getByRole('navigation', { name: 'Main' }).getByRole('button', { name: /Petra/ }).click();
  try {
    await page.getByRole('button', { name: /^Petra Lundholm/ }).click();
    await page.getByLabel('PIN of Petra Lundholm').fill(PIN);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('status')).toContainText('scan this with one on your phone');
    const secret = (await page.locator('.set-up .number').innerText()).replaceAll(' ', '');
    await nothingSerious(page);
    expect(await tooSmall(page)).toEqual([]);
    const field = page.getByLabel('Code of the authenticator of Petra Lundholm');
    await field.fill('000000');
    await field.press('Enter');
    await expect(page.getByRole('alert')).toContainText('That code is not right');
    await field.fill(new TOTP({ secret }).generate());
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Setup' })).toBeVisible();
  } finally {
    await asked('nobody');
  }
});

/** All that this browser keeps of the shop, as text. */
const everythingKept = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const inStorage = JSON.stringify([{ ...localStorage }, { ...sessionStorage }]);
    const opened = <T>(asked: IDBRequest<T>) =>
      new Promise<T>((done, failed) => {
        asked.onsuccess = () => done(asked.result);
        asked.onerror = () => failed(asked.error ?? new Error('not opened'));
      });
    const store = await opened(indexedDB.open('dusk-wren'));
    const rows = await Promise.all(
      [...store.objectStoreNames].map((name) => opened(store.transaction(name).objectStore(name).getAll())),
    );
    const readable = JSON.stringify(rows, (_key, value: unknown) =>
      value instanceof ArrayBuffer ? new TextDecoder().decode(value) : value,
    );
    return `${inStorage} ${[...store.objectStoreNames].join(' ')} ${readable}`;
  });

test('a gauge on the register: added, calibrated with how it was found and left, and out of use', async ({
  page,
}) => {
  await signIn(page, 'Petra Lundholm');
  await page.goto(new URL('/setup', page.url()).href);
  await page.getByRole('button', { name: 'Instruments' }).click();
  await page.getByRole('button', { name: 'Add an instrument' }).click();
  await expect(page.getByLabel('Name on its tag')).toBeFocused();
  await page.getByLabel('Name on its tag').fill('Gauge 41');
  await page.getByLabel(/^Reads from, to/).fill('0 to 600 psig');
  await dayIn(page.getByRole('region', { name: 'Instruments' }), 'Calibration due', 'In two');
  expect(await tooSmall(page)).toEqual([]);
  await page.getByRole('button', { name: 'Keep it' }).click();
  const gauge = page.locator('.instrument', { hasText: 'Gauge 41' });
  await expect(gauge).toContainText(/due .*, in 10 working days/);
  await gauge.locator('summary').click();
  await dayIn(gauge, 'Due again', 'In two');
  await gauge.getByLabel('Found off by, %').fill('3');
  await gauge.getByLabel('Left off by, %').fill('0.2');
  await gauge.getByLabel('Number of its certificate').fill('C 118');
  await nothingSerious(page);
  await gauge.getByRole('button', { name: 'Keep it' }).click();
  await expect(gauge.getByText(/found 3 % off, left 0.2 %/)).toBeVisible();
  const chooser = page.waitForEvent('filechooser');
  await gauge.getByRole('button', { name: 'Attach its certificate' }).click();
  const file = { name: 'C 118.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.7 …') };
  await (await chooser).setFiles(file);
  await expect(gauge.getByRole('link', { name: 'C 118.pdf' })).toBeVisible();
  expect(await tooSmall(page)).toEqual([]);
  await gauge.getByRole('button', { name: 'What it read since it was last good' }).click();
  await expect(gauge.getByText(/^0 readings/)).toBeVisible();
  await test.step('what reads it is chosen, set, tried and kept, and is so after a reload', async () => {
    await choose(gauge.locator('.v-field', { hasText: 'Read by' }), 'simulated gauge');
    const often = gauge.getByLabel('Readings a second, 2 to 20');
    await expect(often).toHaveValue('4');
    await often.fill('50');
    await expect(gauge.getByRole('button', { name: /^Try it/ })).toBeDisabled();
    await often.fill('10');
    await gauge.getByRole('button', { name: 'Try it' }).click();
    await expect(gauge.getByText(/^It reads 0.* psig/)).toBeVisible();
    await expect(gauge.getByText(/readings a second\.$/)).toBeVisible();
    await nothingSerious(page);
    expect(await tooSmall(page)).toEqual([]);
    await gauge.getByRole('button', { name: 'Stop trying' }).click();
    await gauge.getByRole('button', { name: 'Keep it so' }).click();
    await expect(gauge.getByRole('button', { name: 'Keep it so' })).toHaveCount(0);
    await page.reload();
    await gauge.locator('summary').click();
    await expect(gauge.getByLabel('Readings a second, 2 to 20')).toHaveValue('10');
  });
  await gauge.getByRole('button', { name: 'Out of use' }).click();
  await expect(gauge).toContainText('out of use');
});

test('a maker’s sheet: its next revision typed with pages, what that would change looked at, and taken back', async ({
  page,
}) => {
  await signIn(page, 'Petra Lundholm');
  await page.goto(new URL('/setup?view=sheets', page.url()).href);
  const card = page.locator('.model', { hasText: 'G 80' });
  await expect(card).toContainText('revision 3');
  await card.locator('summary').click();
  await card.getByRole('button', { name: 'Type its next revision' }).click();
  await expect(card.getByLabel('Torque of the joint')).toHaveValue(/125/);
  await card.getByLabel('Torque of the joint').fill('140 ft-lb');
  await card.getByLabel('Page (joint)').fill('');
  await expect(card.getByRole('button', { name: /^The shop’s from now on/ })).toBeDisabled();
  await card.getByLabel('Page (joint)').fill('16');
  await card.getByLabel('Revision', { exact: true }).fill('4');
  await card.getByRole('button', { name: 'What it would change' }).click();
  await expect(card.getByText('1 of 1 open jobs on a G 80 would stand otherwise')).toBeVisible();
  await expect(card.getByRole('link', { name: 'DH-118' })).toBeVisible();
  await nothingSerious(page);
  expect(await tooSmall(page)).toEqual([]);
  await card.getByRole('button', { name: 'The shop’s from now on' }).click();
  await expect(card.locator('summary')).toContainText('revision 4');
  await page.reload();
  await expect(card.locator('summary')).toContainText('revision 4');
  await card.locator('summary').click();
  await expect(card.getByText('page 16')).toBeVisible();
  await card.getByRole('button', { name: 'Withdraw it…' }).click();
  await card.getByRole('button', { name: /^Withdraw 4: 3 is the shop’s again/ }).click();
  await expect(card.locator('summary')).toContainText('revision 3');
});

test('a rig found 3 % out: what it touched is weighed, called back, said on the job, and closed with what was done', async ({
  page,
}) => {
  await signIn(page, 'Petra Lundholm');
  await page.goto(new URL('/setup', page.url()).href);
  await page.getByRole('button', { name: 'Instruments' }).click();
  const rig = page.locator('.instrument', { hasText: 'Rig north' });
  await rig.locator('summary').click();
  await dayIn(rig, 'Due again', 'In two');
  await rig.getByLabel('Found off by, %').fill('3');
  await rig.getByLabel('Left off by, %').fill('0');
  await rig.getByLabel('Number of its certificate').fill('C 240');
  await rig.getByRole('button', { name: 'Keep it' }).click();
  await rig.getByRole('button', { name: 'What its error would change' }).click();
  await expect(rig.getByText(/Found 3 % off: \d+ jobs were read with it/)).toBeVisible({
    timeout: 30_000,
  });
  await expect(rig.getByText(/^To be done again: .*test/i).first()).toBeVisible();
  expect(await tooSmall(page)).toEqual([]);
  await nothingSerious(page);
  await rig.getByRole('button', { name: /^Recall / }).click();
  const recalls = page.getByRole('region', { name: 'Recalls' });
  const first = recalls.getByRole('article').first();
  const job = first.getByRole('link');
  const [tag, address] = [await job.innerText(), await job.getAttribute('href')];
  await page.goto(new URL(address ?? '', page.url()).href);
  await expect(page.getByRole('note').filter({ hasText: 'Recalled: Rig north was found off' })).toBeVisible();
  await page.goto(new URL('/setup', page.url()).href);
  await page.getByRole('button', { name: 'Instruments' }).click();
  await recalls
    .getByLabel(`What was done about ${tag}`, { exact: true })
    .fill('tested again on rig south, holds');
  await recalls
    .getByRole('article')
    .filter({ hasText: tag })
    .first()
    .getByRole('button', { name: 'Close it' })
    .click();
  await recalls.getByRole('button', { name: '1 that are closed' }).click();
  await expect(recalls.getByText('tested again on rig south, holds')).toBeVisible();
});

/** Picks a day by the week. */
async function dayIn(within: Locator, label: string, when: string): Promise<void> {
  await within.getByLabel(label).click();
  const page = within.page();
  await page.getByRole('button', { name: when, exact: true }).click();
  await expect(page.locator('.calendar')).toBeHidden();
}
