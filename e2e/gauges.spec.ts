import { instrumentsView } from '@dusk-wren/contract';
import { expect, test, type Page } from '@playwright/test';
import { jobAt } from './api';
import { nothingSerious } from './axe';
import { FIRST, inHand, signIn } from './bench';
import { choose } from './choose';
import { openOwnJob } from './own-job';
import { workTo } from './plain';

/** Gauges that type their readings as a keyboard does, or send them over a serial line. */

const caliperOf = async (page: Page) => {
  const answer = await page.request.get(`${FIRST}/api/instruments`);
  return instrumentsView.parse(await answer.json()).instruments.find(({ name }) => name === 'Caliper 1');
};
const measured = async (page: Page, address: string) =>
  (await jobAt(page, address)).entries.flatMap((entry) => (entry.kind === 'measured' ? [entry.body] : []));
/** As a gauge types: a character every few milliseconds, then Enter. */
async function gaugeTypes(page: Page, line: string): Promise<void> {
  await page.evaluate((text) => {
    const on = () => document.activeElement ?? document.body;
    for (const key of [...text, 'Enter']) {
      const goesOn = on().dispatchEvent(
        new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
      );
      const field = on();
      if (
        !goesOn ||
        key.length > 1 ||
        !(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement)
      )
        continue;
      field.value += key;
      field.dispatchEvent(new Event('input', { bubbles: true }));
    }
  }, line);
}

test('a caliper is taught by one of its lines; what it types lands in the step in hand, not in the note that has the focus', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Petra Lundholm');
  await test.step('taught', async () => {
    await page.goto(`${FIRST}/setup?view=instruments`);
    const card = page.locator('details', { hasText: 'Caliper 1' });
    await card.locator('summary').first().click();
    const reads = card.getByRole('region', { name: 'What reads it' });
    await choose(reads.locator('.v-field').first(), 'lines of a caliper');
    await reads.getByLabel('A line as it sends it').fill('+012.34 mm');
    await reads.getByLabel(/Its face showed then/).fill('99');
    await reads.getByRole('button', { name: 'Keep it so' }).click();
    await expect(page.getByText(/no number in that line/)).toBeVisible();
    await reads.getByLabel(/Its face showed then/).fill('12.34');
    await reads.getByRole('button', { name: 'Keep it so' }).click();
    await expect.poll(async () => (await caliperOf(page))?.lines?.unit).toBe('mm');
    await nothingSerious(page);
  });
  const address = await openOwnJob(page);
  await test.step('how deep a mark is stands in its field, to be looked at before it is called', async () => {
    await workTo(page, 'Seating face of the seat');
    await inHand(page)
      .getByRole('radio', { name: /Wire drawn/ })
      .click();
    await inHand(page).getByLabel('How deep').fill('9');
    await gaugeTypes(page, '+002.30 mm');
    await expect(inHand(page).getByText(/Caliper 1: .*, stands as how deep it is/)).toBeVisible();
    await expect(inHand(page).getByLabel('How deep')).toHaveValue('2.3 mm');
    await expect(inHand(page).getByText(/Renew the seat/)).toBeVisible();
  });
  await workTo(page, /^Measure stem and stuffing box/);
  await test.step('a reading typed while a note has the focus is kept as the figure that is asked for', async () => {
    await page.getByRole('button', { name: 'History', exact: true }).click();
    const note = page.getByLabel('Add a note');
    await note.fill('scored below');
    await note.focus();
    await gaugeTypes(page, '+028.60 mm');
    await expect(inHand(page).getByText(/Caliper 1: .*, kept as /)).toBeVisible();
    await expect(note).toHaveValue('scored below');
    await expect
      .poll(async () => (await measured(page, address)).at(-1))
      .toMatchObject({ value: { value: 28.6, unit: 'mm' }, readBy: { name: 'Caliper 1' } });
    await nothingSerious(page);
  });
  await test.step('what a hand types stays where it is typed', async () => {
    const note = page.getByLabel('Add a note');
    await note.pressSequentially(' +028.60 mm', { delay: 60 });
    await expect(note).toHaveValue('scored below +028.60 mm');
  });
});

test('a gauge that sends over a serial line: its line in two pieces is one reading, an unknown one is said', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.addInitScript(() => {
    // The browser's own port, with a gauge of this test's at its end.
    const readable = new ReadableStream<Uint8Array>({
      start: (line) => {
        const sends = (text: string) => line.enqueue(new TextEncoder().encode(text));
        Object.assign(window, { gaugeSends: sends });
      },
    });
    const port = { readable, open: () => Promise.resolve(), close: () => Promise.resolve() };
    Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(port) } });
  });
  const sends = (text: string) =>
    page.evaluate((sent) => {
      const { gaugeSends } = window as Window & { gaugeSends?: (text: string) => void };
      gaugeSends?.(sent);
    }, text);
  await signIn(page, 'Ines Okoro');
  const address = await openOwnJob(page);
  await workTo(page, /^Measure stem and stuffing box/);
  await inHand(page).getByRole('button', { name: 'Listen to a gauge on a serial line' }).click();
  await expect(inHand(page).getByRole('button', { name: 'Leave the gauge’s line' })).toBeVisible();
  await sends('LOW BATTERY\r\n');
  await expect(inHand(page).getByText(/“LOW BATTERY”.*teach it on Setup/)).toBeVisible();
  await inHand(page).getByLabel('box bore').focus();
  await sends('+047');
  await sends('.60 mm\r\n');
  await expect(inHand(page).getByText(/Caliper 1: .*, kept as box bore/)).toBeVisible();
  // What the page shows as kept may still be on its way.
  await expect
    .poll(async () => (await measured(page, address)).at(-1))
    .toMatchObject({ what: 'box bore', readBy: { name: 'Caliper 1' } });
  await nothingSerious(page);
});
