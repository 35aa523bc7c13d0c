import { chromium, type Page } from '@playwright/test';
import { join } from 'node:path';
import { inHand, openJob, openSheet, press, sign, signIn } from './bench';
import { defaultValve } from '@dusk-wren/core/valve';
import { openNamed } from './own-job';
import { workTo } from './plain';

/** Takes the pictures of docs/screenshots from a fresh demo that runs at PORT: `npm run screenshots`. */
const HERE = `http://127.0.0.1:${process.env['PORT'] ?? '4780'}`;
const INTO = join(import.meta.dirname, '../docs/screenshots');

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
});

async function as(person: string, look: 'dusk' | 'daylight', width = 1280, height = 800): Promise<Page> {
  const page = await browser.newPage({ viewport: { width, height } });
  await signIn(page, person, HERE);
  if (look === 'daylight') await page.getByRole('button', { name: 'Daylight' }).click();
  await page.waitForTimeout(700);
  return page;
}
const take = async (page: Page, name: string) => {
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(INTO, `${name}.png`) });
};
const working = async (page: Page, path: string, name: string) => {
  await page.goto(`${HERE}/workings/${path}`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await take(page, name);
};

const ines = await as('Ines Okoro', 'dusk');
await take(ines, 'floor');
await openJob(ines, 'HV-2214');
await press(ines, ' ');
await ines.waitForTimeout(7000);
await take(ines, 'job-runout');

await ines.goto(`${HERE}/drill/comes-off-next?on=relief-spring&level=1&seed=3`);
for (const part of ['7 bonnet', '2 cap', '7 bonnet'])
  await ines.getByRole('list', { name: 'Parts' }).getByRole('button', { name: part, exact: true }).click();
await take(ines, 'drill');

const inspector = await as('Noor Castellane', 'daylight');
await openJob(inspector, 'DH-415');
await sign(inspector, /release the hold/);

await ines.goto(HERE);
await openJob(ines, 'DH-415');
await workTo(ines, 'Bolt up the bonnet');
await press(ines, 'w');
await ines.waitForTimeout(2500);
await take(ines, 'job-bolt-up');
const lead = await as('Petra Lundholm', 'daylight');
await lead.goto(`${HERE}/jobs/new`);
await lead
  .getByLabel('Type, paste or scan the plate')
  .fill('TW-13; S/N K 21 044; 2 in; class 1500; WCB; trim 410; model H 7');
await lead.waitForTimeout(900);
await take(lead, 'new-job');
await lead.goto(HERE);
await lead.getByRole('button', { name: /Released/ }).click();
await lead.waitForTimeout(600);
await lead.locator('a[href^="/jobs/"]', { hasText: 'HV-1907' }).first().click();
await lead.getByRole('link', { name: 'Open it' }).click();
await lead.getByRole('heading', { name: 'Overhaul certificate' }).waitFor();
await take(lead, 'certificate');

await ines.goto(HERE);
await openJob(ines, 'PCV-301');
await inHand(ines).getByRole('button', { name: 'Half travel at full signal' }).click();
for (let i = 0; i < 2; i++) {
  await ines.keyboard.press('g');
  await ines.waitForTimeout(1500);
}
await ines.locator('.job > .right').evaluate((plan) => plan.scrollTo({ top: 330 }));
await take(ines, 'fault-finder');
await lead.goto(HERE);
await openJob(lead, 'TW-31');
await openSheet(lead, 'Isolation');
await lead.getByRole('heading', { name: 'Isolation sheet' }).waitFor();
await take(lead, 'isolation');

await working(ines, '', 'workings');

/** A valve popped on the rig. */
const tam = await as('Tam Brackley', 'dusk');
await openJob(tam, 'PSV-110');
await workTo(tam, /^Hold: the call/);
await inspector.goto(HERE);
await openJob(inspector, 'PSV-110');
await sign(inspector, /release the hold/);
await tam.waitForTimeout(1500);
await workTo(tam, 'Three consistent pops');
await inHand(tam).getByRole('button', { name: 'Pump up until it pops' }).click();
await inHand(tam).getByRole('button', { name: 'Keep this pop' }).waitFor();
await take(tam, 'relief-rig');

await lead.goto(`${HERE}/week`);
await lead.locator('.piece').first().waitFor();
const late = lead.locator('.late-jobs .line').first();
if ((await late.count()) > 0) await late.click();
await take(lead, 'week');
await lead.goto(`${HERE}/week/outages`);
await lead.getByRole('link', { name: /two-day stop/ }).click();
await lead.getByRole('heading', { name: /^In the window/ }).waitFor({ timeout: 60_000 });
await take(lead, 'outage');
await lead.goto(`${HERE}/store`);
await take(lead, 'store');
await ines.goto(`${HERE}/valves`);
await ines.getByLabel(/^Find/).fill('har glo');
await ines.waitForTimeout(600);
await take(ines, 'valves');
await ines.getByLabel(/^Find/).fill('HV-2231');
await ines.getByRole('link', { name: 'HV-2231' }).click();
await ines.getByRole('heading', { name: 'What is getting used up' }).scrollIntoViewIfNeeded();
await ines.locator('.section').scrollIntoViewIfNeeded();
await take(ines, 'valve');
await lead.goto(`${HERE}/valves/fleet`);
await lead.getByRole('radio', { name: 'Eight years' }).click();
await lead.getByRole('button', { name: /^Disc Globe/ }).click();
await lead.waitForTimeout(1200);
await lead.getByRole('heading', { name: 'All valves together' }).scrollIntoViewIfNeeded();
await take(lead, 'fleet');

await ines.goto(HERE);
const level = {
  ...defaultValve('control-globe-double-seat'),
  ...{ tag: 'LV-17', ends: 'flanged', customer: 'Mossgate sugar refinery', location: 'thick juice tank' },
};
await openNamed(ines, level, { place: 'in line', scope: 'set-up' });
await workTo(ines, /^Span, then zero/);
await inHand(ines).getByRole('button', { name: 'Air on, gauges live' }).click();
for (const signal of ['3.6 psig in', '14.4 psig in']) {
  await inHand(ines).getByRole('button', { name: signal }).click();
  await inHand(ines)
    .getByRole('button', { name: /^Keep \d/ })
    .click({ timeout: 60_000 });
}
await inHand(ines).locator('.screw').waitFor();
await take(ines, 'set-up');

await lead.goto(`${HERE}/setup`);
await lead.getByRole('button', { name: 'Instruments' }).click();
const rig = lead.locator('.instrument', { hasText: 'Rig north' });
await rig.locator('summary').click();
await rig.getByLabel('Due again').click();
await lead.getByRole('button', { name: 'In two', exact: true }).click();
await rig.getByLabel('Found off by, %').fill('3');
await rig.getByLabel('Left off by, %').fill('0');
await rig.getByLabel('Number of its certificate').fill('C 240');
await rig.getByRole('button', { name: 'Keep it' }).click();
await rig.getByRole('button', { name: 'What its error would change' }).click();
const touched = rig.getByText(/Found 3 % off/);
await touched.waitFor({ timeout: 60_000 });
await touched.scrollIntoViewIfNeeded();
await take(lead, 'setup');

const phone = await as('Jory Velde', 'dusk', 390, 844);
await openJob(phone, 'SJ-61');
await take(phone, 'job-phone');
await browser.close();
