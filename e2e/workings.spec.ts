import { expect, test, type Page } from '@playwright/test';
import { FIRST, openJob, openSheet, signIn } from './bench';

/** Chooses a file as the dialog of the browser would. */
async function choose(page: Page, file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> {
  const dialog = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  await (await dialog).setFiles(file);
}

const answer = (page: Page) => page.getByRole('region', { name: 'Answer' });

/** A figure is found by what a person would call it, follows the typing, says its source and is kept with a job. */
test('a torque from the question to the certificate', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  await page.getByRole('link', { name: 'Workings' }).click();

  await test.step('found by plain words, opened with Enter', async () => {
    await page.getByRole('textbox', { name: /What do you need/ }).fill('how tight');
    await page.getByRole('textbox', { name: /What do you need/ }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Torque for a bolt' })).toBeVisible();
    await expect(answer(page)).toContainText('An example, until something is typed');
  });

  await test.step('the answer follows the typing; a typo is said where it was made', async () => {
    await page.getByLabel('Stud thread').fill('7/8-9');
    await expect(answer(page)).toContainText('Still wanted: Nut factor K');
    await page.getByLabel('Nut factor K').fill('0.16');
    await page.getByLabel(/Bolt stress/).fill('40 kis');
    await expect(page.getByText('Perhaps ksi?').first()).toBeVisible();
    await page.getByLabel(/Bolt stress/).fill('40 ksi');
    await expect(answer(page)).toContainText('215.5 lbf·ft');
    await expect(page.getByText('= 275.8 MPa')).toBeVisible();
  });

  await test.step('the steps unfold, with their source', async () => {
    await answer(page).getByText('How this was worked out').click();
    await expect(answer(page).getByText('T = K · D · F', { exact: false }).first()).toBeVisible();
    await expect(answer(page).getByText(/Short-form torque.*common practice/)).toBeVisible();
  });

  await test.step('in SI, and again after a reload: the address keeps what was typed', async () => {
    await page.locator('h1').click();
    await page.keyboard.press('u');
    await expect(answer(page)).toContainText('N·m');
    await page.reload();
    await expect(page.getByLabel('Stud thread')).toHaveValue('7/8-9');
    await expect(answer(page)).toContainText('292');
  });

  await test.step('kept with a job, it stands in its history and on its certificate', async () => {
    await answer(page).getByRole('button', { name: 'Keep with a job' }).click();
    await answer(page).getByLabel('Job').fill('WF-07');
    await page.getByRole('option', { name: /WF-07/ }).click();
    await answer(page).getByRole('button', { name: 'Keep it' }).click();
    await expect(answer(page).getByText('Kept with WF-07.')).toBeVisible();
    await page.goto(FIRST);
    await openJob(page, 'WF-07');
    await page.getByRole('button', { name: 'History' }).click();
    await expect(page.getByText(/Torque for a bolt: Preload/)).toBeVisible();
    await openSheet(page, 'Certificate');
    await expect(page.getByRole('heading', { name: 'Workings kept with the job' })).toBeVisible();
  });

  await test.step('what the job knows is not typed again; of several ways the one it knows is chosen', async () => {
    await page.goto(`${FIRST}/workings/bolting.torque`);
    await page.getByRole('button', { name: 'Fill from a job' }).click();
    await page.getByLabel('Job').fill('WF-07');
    await page.getByRole('option', { name: /WF-07/ }).click();
    await page.getByRole('button', { name: 'Fill', exact: true }).click();
    await expect(page.getByText(/figures? from WF-07/)).toBeVisible();
    await expect(page.getByLabel('Stud thread')).toHaveValue(/\d-\d/);
    await expect(page.getByRole('radio', { name: 'share of yield' })).toBeChecked();
    await page.getByRole('radio', { name: 'preload' }).click();
    await expect(page.getByRole('combobox', { name: /Stud material/ })).toHaveCount(0);
  });

  await test.step('used lately comes first', async () => {
    await page.goto(`${FIRST}/workings`);
    await expect(page.getByRole('heading', { name: 'Used lately' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Torque for a bolt' }).first()).toBeVisible();
  });
});

test('a small table is typed row by row, and only what the standard needs is asked', async ({ page }) => {
  await signIn(page, 'Jory Velde');
  await page.goto(`${FIRST}/workings/positioner.stroke`);
  await page.getByRole('button', { name: 'Fill in an example' }).click();
  await expect(answer(page)).toContainText('Zero down by 0.9 %');
  await expect(answer(page).getByRole('img', { name: 'Deviation of the travel' })).toBeVisible();
  await page.getByLabel('travel going up, row 1', { exact: true }).fill('-0.4 %');
  await expect(answer(page)).not.toContainText('Zero down');
  await page.getByRole('button', { name: 'Take row 5 away' }).click();
  await expect(answer(page).getByRole('alert')).toContainText('from 0 % to 100 %');
  await page.goto(`${FIRST}/workings/leak.allowance?code=FCI 70-2&fluid=gas&class=VI&portDiameter=2 in`);
  await expect(answer(page)).toContainText('0.45 mL/min');
  await expect(page.getByLabel(/Orifice/)).toHaveCount(0);
});

test('a measure that is used up is drawn with its limit; a life is said only where enough have failed', async ({
  page,
}) => {
  await signIn(page, 'Jory Velde');
  await page.goto(`${FIRST}/workings/life.trend`);
  await expect(answer(page).getByRole('img', { name: /its line and band, and the limit/ })).toBeVisible();
  await page.getByRole('button', { name: 'Fill in an example' }).click();
  await expect(answer(page)).toContainText('meets');
  await page.getByLabel('value, row 5', { exact: true }).fill('0.029 in');
  await expect(answer(page)).toContainText('over limit');
  await page.goto(`${FIRST}/workings/life.weibull`);
  await page.getByRole('button', { name: 'Fill in an example' }).click();
  await expect(answer(page).getByRole('img', { name: 'The share that outlives an age' })).toBeVisible();
  await page.getByLabel('Ages at failure').fill('910 d; 640 d; 720 d');
  await expect(answer(page).getByRole('alert')).toContainText('count them only');
});

test('a stroke recording is read beside the page, and its columns can be put right', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  await page.goto(`${FIRST}/workings/signature.analyse`);
  await page.getByRole('button', { name: 'Use the sample' }).click();
  await expect(answer(page)).toContainText('Spring rate');
  await expect(page.getByText('2 broken rows left out')).toBeVisible();
  await page.getByLabel('Actuator area').fill('92 in²');
  await expect(answer(page)).toContainText(/180\d(\.\d)? lbf\/in/);

  await test.step('columns in another order, with other names and units', async () => {
    const rows = Array.from({ length: 2000 }, (_, i) => {
      const there = i < 1000 ? i / 1000 : (2000 - i) / 1000;
      return `${(there * 16).toFixed(3)};${(0.2 + 0.8 * there + (i < 1000 ? 0.05 : -0.05)).toFixed(4)}`;
    });
    await choose(page, {
      name: 'bench 4.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`Lift [mm];Diaphragm [bar]\n${rows.join('\n')}\n`),
    });
    await expect(page.getByText('bench 4.csv', { exact: true })).toBeVisible();
    await expect(answer(page)).toContainText('14.5 psig');
  });

  await test.step('a file that is no recording is refused, and the last answer stays', async () => {
    await choose(page, {
      name: 'letter.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('Dear all,\nno numbers here\n'),
    });
    await expect(page.getByRole('alert')).toContainText(/a column for|no CSV/);
    await expect(answer(page)).toContainText('14.5 psig');
  });
});

test('a photograph of a blued seat is read, and a circle can be drawn on it', async ({ page }) => {
  await signIn(page, 'Ines Okoro');
  await page.goto(`${FIRST}/workings/bluing.read`);
  await page.getByRole('button', { name: 'Use the sample' }).click();
  await expect(answer(page)).toContainText('broken');
  await expect(page.getByRole('img', { name: 'Photograph, 2 breaks found' })).toBeVisible();
  await expect(answer(page).getByRole('region', { name: 'Breaks' })).toContainText('62°');
  await expect(answer(page).getByRole('region', { name: 'Cannot be seen' })).toContainText('318°');

  const picture = page.getByRole('img', { name: /Photograph/ });
  const box = await picture.boundingBox();
  if (!box) throw new Error('the photograph is not on the screen');
  await page.mouse.move(box.x + box.width * 0.47, box.y + box.height * 0.52);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.76, box.y + box.height * 0.52, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole('img', { name: 'Photograph, 2 breaks found' })).toBeVisible();

  await choose(page, { name: 'note.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('“note.png” is no picture');
});
