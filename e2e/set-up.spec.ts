import { expect, test, type Page } from '@playwright/test';
import { psig } from '@dusk-wren/core/quantity';
import { defaultValve, type ConstructionId } from '@dusk-wren/core/valve';
import { releaseHold } from './another-screen';
import { nothingSerious } from './axe';
import { inHand, openSheet, signHere, signIn, title } from './bench';
import { choose } from './choose';
import { openNamed, openOn } from './own-job';
import { workTo } from './plain';
import { isReally } from './really';
import { tooSmall } from './sizes';

/** A valve to be set up in its line, under a tag by which its positioner is out of set in everything. */
async function toSetUp(page: Page, construction: ConstructionId, tag: string): Promise<string> {
  await signIn(page, 'Ines Okoro');
  const usual = defaultValve(construction);
  const springRange = { low: psig(3), high: psig(15) };
  const valve = { ...usual, ends: 'flanged', tag, plate: { ...usual.plate, springRange } };
  return openNamed(page, valve, { place: 'in line', scope: 'set-up' });
}

const button = (page: Page, name: string | RegExp) => inHand(page).getByRole('button', { name });
async function air(page: Page): Promise<void> {
  await button(page, 'Air on, gauges live').click();
  await expect(inHand(page).getByRole('img', { name: /^Travel/ })).toBeVisible();
}

/** What is on the bench now can be read and pressed on a phone too. */
async function onAPhone(page: Page): Promise<void> {
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => tooSmall(page)).toEqual([]);
  await nothingSerious(page);
  await page.setViewportSize({ width: 1280, height: 800 });
}

/** Sweeps the actuator and turns its adjuster as advised until the step is done; answers with what was advised. */
async function sweptToBenchSet(page: Page): Promise<string[]> {
  const heading = await title(page).innerText();
  const advised: string[] = [];
  const screw = inHand(page).locator('.screw');
  for (let round = 0; round < 8; round++) {
    await button(page, /^(Air on: sweep|Sweep it again)/).click();
    await expect(button(page, 'Keep what it reads')).toBeVisible({ timeout: 30_000 });
    if (round === 0) await onAPhone(page);
    await button(page, 'Keep what it reads').click();
    await expect(async () => {
      const isDone = (await title(page).innerText()) !== heading;
      expect(isDone || (await screw.locator('.lamp').count()) > 0).toBe(true);
    }).toPass();
    if ((await title(page).innerText()) !== heading) return advised;
    advised.push(await screw.locator('p').first().innerText());
    await screw.locator('.lamp').click();
    await expect(screw.getByText(/turned since it was read/)).toBeVisible();
  }
  throw new Error(`never set: ${advised.join(' ')}`);
}

/** Reads at these signals and turns what is advised, until the step is done; answers with what was advised. */
async function setByAdvice(page: Page, signals: readonly string[]): Promise<string[]> {
  const heading = await title(page).innerText();
  const advised: string[] = [];
  await air(page);
  for (let round = 0; round < 16; round++) {
    await button(page, `${signals[0] ?? ''} in`).click();
    for (const signal of signals) {
      await expect(button(page, `${signal} in`)).toHaveAttribute('aria-pressed', 'true');
      await expect(button(page, /^Keep/)).toBeEnabled({ timeout: 30_000 });
      await button(page, /^Keep/).click();
    }
    const screw = inHand(page).locator('.screw');
    await expect(async () => {
      const isDone = (await title(page).innerText()) !== heading;
      expect(isDone || (await screw.locator('.lamp').count()) > 0).toBe(true);
    }).toPass();
    if ((await title(page).innerText()) !== heading) return advised;
    advised.push(await screw.locator('p').first().innerText());
    await screw.locator('.lamp').click();
    await expect(screw.getByText(/turned since it was read/)).toBeVisible();
  }
  throw new Error(`never set: ${advised.join(' ')}`);
}

test('a diaphragm valve at half travel, every screw wrong: bench set by its adjuster, zero and span by what their turns did, stroked within its limits', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const address = await toSetUp(page, 'control-globe-double-seat', 'SET-36');
  await isReally(page, address, { positioner: { zero: 0.04, span: -0.48, balance: 0 } });
  await test.step('half travel at full signal: stroked by points as found, kept as it is', async () => {
    await workTo(page, /^As found: stroke it by points/);
    await button(page, 'Air on, run the test').click();
    await expect(button(page, 'Keep the stroke test')).toBeVisible({ timeout: 60_000 });
    await expect(inHand(page).locator('.verdicts .rework', { hasText: 'largest error' })).toBeVisible();
    const full = Number.parseFloat(
      await inHand(page)
        .getByRole('row', { name: /^100 %/ })
        .locator('td')
        .first()
        .innerText(),
    );
    expect(full).toBeGreaterThan(40);
    expect(full).toBeLessThan(60);
    await button(page, 'Keep the stroke test').click();
    await expect(title(page)).not.toHaveText(/^As found: stroke/);
  });
  await workTo(page, /^Bench set/);
  await test.step('its spring swept up and down; the adjuster turned until both ends are right', async () => {
    const advised = await sweptToBenchSet(page);
    expect(advised.length).toBeGreaterThan(0);
    expect(advised.every((words) => words.startsWith('Spring adjuster'))).toBe(true);
  });
  await workTo(page, /^Half of the signal/);
  await test.step('half of the signal, half of the travel', async () => {
    await setByAdvice(page, ['9 psig']);
  });
  await test.step('span first, then zero; each turn is in the log and its effect is learned', async () => {
    await expect(title(page)).toHaveText(/^Span, then zero/);
    const advised = await setByAdvice(page, ['3.6 psig', '14.4 psig']);
    expect(advised[0]).toMatch(/^Span screw: .*(clockwise|brings)/);
    expect(advised.some((words) => /it should come to .* and /.test(words))).toBe(true);
    await setByAdvice(page, ['3.6 psig', '14.4 psig']);
    await page.getByRole('button', { name: 'History' }).click();
    await expect(page.getByText(/span screw .* turns? (anti)?clockwise/).first()).toBeVisible();
  });
  await test.step('five points up and down, judged and kept', async () => {
    await expect(title(page)).toHaveText(/^Stroke test/);
    await button(page, 'Air on, run the test').click();
    await expect(button(page, 'Keep the stroke test')).toBeVisible({ timeout: 60_000 });
    await expect(inHand(page).getByRole('img', { name: 'Deviation of the travel' })).toBeVisible();
    for (const figure of ['largest error', 'hysteresis and dead band', 'zero', 'span'])
      await expect(inHand(page).locator('.verdicts .fit', { hasText: figure })).toBeVisible();
    await nothingSerious(page);
    await button(page, 'Keep the stroke test').click();
    await expect(title(page)).not.toHaveText(/^Stroke test/);
  });
  await test.step('how it answers: small steps, three steps, a full stroke', async () => {
    await expect(title(page)).toHaveText(/^How it answers/);
    await button(page, 'Air on, run it').click();
    await expect(button(page, 'Keep how it answers')).toBeVisible({ timeout: 120_000 });
    await expect(inHand(page).locator('.figures div', { hasText: 'T63, 45 to 55 %' })).toContainText(/ s$/);
    await onAPhone(page);
    await button(page, 'Keep how it answers').click();
    await expect(title(page)).not.toHaveText(/^How it answers/);
  });
  await test.step('and on the certificate', async () => {
    await openSheet(page, 'Certificate');
    await expect(page.getByRole('heading', { name: 'Stroke test', exact: true })).toBeVisible();
    await expect(page.getByText('limit 1.5 %')).toHaveCount(2);
    await expect(page.getByText('Dotted: as found.')).toBeVisible();
  });
});

test('a positioner that hunts: less gain until it stands; its supply vented and put on again; its signal in milliamperes', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const address = await toSetUp(page, 'control-globe-double-seat', 'SET-G7');
  await isReally(page, address, {
    positioner: { zero: 0, span: 0, balance: 0 },
    fault: 'gain too high',
  });
  await workTo(page, /^Half of the signal/);
  await air(page);
  await choose(inHand(page).locator('.range .v-field'), '4–20 mA');
  await button(page, '12 mA in').click();
  const gain = inHand(page).locator('.screw', { hasText: 'Gain screw' });
  await expect(gain).toContainText('it hunts by', { timeout: 30_000 });
  // Turned while it hunts, and looked at again until it stands.
  await expect(async () => {
    if ((await gain.count()) > 0) await button(page, 'Turned anticlockwise').click();
    await expect(inHand(page).getByText('It stands.')).toBeVisible({ timeout: 4000 });
    await expect(gain).toHaveCount(0, { timeout: 1000 });
  }).toPass({ timeout: 90_000 });
  await inHand(page).getByText('The supply: regulator and vent').click();
  await button(page, 'Vent the supply').click();
  const supply = inHand(page).locator('.gauges div', { hasText: 'supply' });
  await expect(supply).toContainText(/^supply0(\.\d)? psig/);
  await button(page, 'Supply on again').click();
  // A positioner that draws air holds its regulator a little under what it is set to.
  await expect(supply).toContainText(/^supply(18|19|20)/, { timeout: 20_000 });
  await expect(inHand(page).getByText('12 mA in. One side only')).toBeVisible();
});

test('a cylinder valve is balanced: mid-travel by the zero, both gauges to three quarters of supply by the nozzle', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await toSetUp(page, 'control-ball-in-venturi', 'SET-B26');
  await workTo(page, /^Half of the signal/);
  await test.step('while its gauges are live, on a phone too, all can be read and pressed', async () => {
    await air(page);
    await onAPhone(page);
    await button(page, 'Air off').click();
  });
  const advised = await setByAdvice(page, ['9 psig']);
  await expect(title(page)).toHaveText(/^Span, then zero/);
  expect(advised[0]).toMatch(/^Zero screw/);
  expect(advised.some((words) => /^Relay nozzle: .*75 %/.test(words))).toBe(true);
});

test('a regulator is set at a steady flow by its screw, and its lock-up watched by the clock', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Ines Okoro');
  await openOn(page, defaultValve('regulator-self-acting'), { place: 'bare' });
  await workTo(page, 'Hold: the call on every part');
  await releaseHold(browser, page);
  await expect(title(page)).not.toHaveText(/^Hold/);
  const advised: string[] = [];
  await test.step('its screw is turned as advised until its outlet stands within 2 %', async () => {
    await workTo(page, /^Set by gauge/);
    const screw = inHand(page).locator('.screw');
    for (let round = 0; round < 8 && /^Set by gauge/.test(await title(page).innerText()); round++) {
      await button(page, /^(Inlet on|Watch it again)/).click();
      await button(page, 'Keep what it reads').click({ timeout: 30_000 });
      await expect(async () => {
        const isDone = !/^Set by gauge/.test(await title(page).innerText());
        expect(isDone || (await screw.locator('.lamp').count()) > 0).toBe(true);
      }).toPass();
      if ((await screw.locator('.lamp').count()) === 0) break;
      advised.push(await screw.locator('p').first().innerText());
      if (round === 0) await onAPhone(page);
      await screw.locator('.lamp').click();
      await expect(screw.getByText(/turned since it was read/)).toBeVisible();
    }
    await expect(title(page)).not.toHaveText(/^Set by gauge/);
  });
  await test.step('shut: a minute, and five more; both figures are taken by the clock', async () => {
    await workTo(page, /^Lock-up/);
    await button(page, /^Shut the outlet/).click();
    await button(page, 'Keep what it reads').click({ timeout: 60_000 });
    await expect(title(page)).not.toHaveText(/^Lock-up/);
  });
});

test('shear pins are read twice, the second time by somebody else, who reads the same', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Ines Okoro');
  const pump = defaultValve('relief-shear-pin');
  const plate = { ...pump.plate, setPressure: psig(3000) };
  await openOn(page, { ...pump, plate }, { place: 'bare' });
  await workTo(page, 'Hold: the call on every part');
  await releaseHold(browser, page);
  await expect(title(page)).not.toHaveText(/^Hold/);
  await workTo(page, /^Somebody else reads them again/);
  await inHand(page).getByLabel('pins fitted').fill('1 piece');
  await expect(
    inHand(page)
      .getByText(/Ines Okoro read it the first time/)
      .first(),
  ).toBeVisible();
  for (const [label, value] of [
    ['diameter of the shear pin', '0.188 in'],
    ['set pressure in the pin table', '3000 psig'],
  ] as const)
    await inHand(page).getByLabel(label).fill(value);
  await signHere(page, /, technician/);
  await expect(title(page)).not.toHaveText(/^Somebody else reads/);
});
