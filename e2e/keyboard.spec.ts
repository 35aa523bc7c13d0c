import { expect, test, type Page } from '@playwright/test';
import { inHand, ON_A_KEY_MILLISECONDS, PIN, ringsIn, signIn, title } from './bench';
import { logOf, openOwnJob } from './own-job';

/** A hand on the keys alone: what it presses is counted. */
class Hand {
  presses = 0;
  constructor(readonly page: Page) {}

  async key(key: string): Promise<void> {
    this.presses += 1;
    await this.page.keyboard.press(key, { delay: ON_A_KEY_MILLISECONDS });
  }
  async type(text: string): Promise<void> {
    this.presses += text.length;
    await this.page.keyboard.type(text, { delay: ON_A_KEY_MILLISECONDS });
  }
  /** Tab by Tab until this has the focus. */
  async to(name: RegExp): Promise<void> {
    for (let i = 0; i < 40; i++) {
      const focused = inHand(this.page).locator(':is(button, input, a):focus');
      const words =
        (await focused.count()) === 0
          ? ''
          : await focused.evaluate((element) =>
              [
                element.textContent,
                element.getAttribute('aria-label'),
                ...(element instanceof HTMLInputElement
                  ? [...(element.labels ?? [])].map(({ textContent }) => textContent)
                  : []),
              ].join(' '),
            );
      if (name.test(words.trim())) return;
      await this.key('Tab');
    }
    throw new Error(`no Tab leads to ${String(name)}`);
  }
}

const FIGURES: Readonly<Record<string, readonly string[]>> = {
  'Push the old packing out': ['6'],
  'Measure stem and stuffing box': ['1 1/8', '1 1/8', '1 7/8', '3', '5/16'],
  'Gap of the bonnet at four points': ['60', '60', '60', '60'],
  'Gland: touch, one turn, stroke three times, touch again': ['1/4', '1/4'],
};

/** The step in hand, by keys alone. */
async function byKeys(hand: Hand, step: string): Promise<void> {
  const { page } = hand;
  const here = inHand(page);
  await expect(here).not.toHaveClass(/fresh/);
  const has = async (name: string | RegExp) => (await here.getByRole('button', { name }).count()) > 0;
  if (FIGURES[step]) {
    // By its own button alone: there a figure is typed and left with Tab.
    const byButton = (await here.getAttribute('class'))?.includes('deliberate');
    for (const figure of FIGURES[step]) {
      while ((await here.locator('input:focus').count()) === 0) await hand.key('Tab');
      await hand.type(figure);
      await hand.key(byButton ? 'Tab' : 'Enter');
    }
    if (!byButton) return;
    await hand.to(/^Keep all/);
    return hand.key('Enter');
  }
  if (await has('No sheet at hand')) return hand.key('x');
  if (await has('Laid out, compared')) {
    await hand.to(/^Order code/);
    await hand.type('PS-K1');
    return hand.key('Enter');
  }
  if (await has(/^Keep this mark/)) {
    await hand.to(/^Mark of the/);
    await hand.type('2');
    return hand.key('Enter');
  }
  if (await has(/^It meets/)) {
    await hand.to(/^It meets/);
    return hand.key('Enter');
  }
  if (await has(/^Turn the stem/)) {
    await hand.key(' ');
    await expect(here.getByText(/Runout \(TIR\)/)).toBeVisible({ timeout: 30_000 });
    return hand.key('Enter');
  }
  if ((await here.getByRole('radiogroup', { name: /^What is seen/ }).count()) > 0) {
    await hand.key('1');
    return hand.key('Enter');
  }
  if (await has('Keep this check')) {
    await hand.key('a');
    return hand.key('Enter');
  }
  if (await has('Pick up the wrench')) return hand.key('w');
  if (await has(/^Ring \d+ in/)) {
    await ringsIn(page, () => hand.key(' '));
    return hand.key('Enter');
  }
  if (await has('Pump up')) {
    await hand.to(/^Pump up/);
    await hand.key('Enter');
    await expect(here.locator('.verdict')).toBeVisible({ timeout: 60_000 });
    await hand.to(/^Keep/);
    return hand.key('Enter');
  }
  if (await has('Somebody else signs here')) {
    await hand.to(/^Somebody else signs here/);
    await hand.key('Enter');
    await expect(here.getByRole('button', { name: /^Noor Castellane/ })).toBeVisible();
    await hand.to(/^Noor Castellane/);
    await hand.key('Enter');
    await expect(here.getByLabel('PIN of Noor Castellane, to sign')).toBeFocused();
    await hand.type(PIN);
    return hand.key('Enter');
  }
  if ((await here.getByLabel(/^The number of/).count()) > 0) {
    await hand.to(/^The number of/);
    await hand.type('DC 118');
  }
  // What is done by its own button alone is reached with Tab; anything else with Enter from where the hand is.
  if ((await here.getAttribute('class'))?.includes('deliberate')) await hand.to(/^Done/);
  await hand.key('Enter');
}

test('a valve is worked from receipt to release by keyboard alone, the inspector signing at the same bench', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await signIn(page, 'Ines Okoro');
  const job = await openOwnJob(page);
  const hand = new Hand(page);
  let steps = 0;
  for (; steps < 80; steps++) {
    if ((await page.getByText('The certificate is signed.').count()) > 0) break;
    const step = await title(page).innerText();
    await byKeys(hand, step);
    await expect
      .poll(
        async () => (await page.locator('.signed').or(title(page)).allInnerTexts()).some((it) => it !== step),
        {
          message: `what comes after ${step}`,
          timeout: 60_000,
        },
      )
      .toBe(true);
  }
  await expect(page.getByText('The certificate is signed.')).toBeVisible();
  const log = await logOf(page, job);
  expect(log.filter(({ by }) => by === 'Noor Castellane').map(({ kind }) => kind)).toEqual([
    'hold-released',
    'hold-released',
    'certificate-signed',
  ]);
  // Counted once by hand over every step of a sound globe: about six a step, Tabs and the typing of figures in it.
  expect(hand.presses / steps).toBeLessThan(8);
  test.info().annotations.push({ type: 'presses', description: `${hand.presses} on ${steps} steps` });
  console.log(`${hand.presses} presses on ${steps} steps`);
});
