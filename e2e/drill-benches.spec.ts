import {
  boltIt,
  DIVISION,
  exerciseOf,
  fitOrNot,
  inTheBag,
  makeItDead,
  setIt,
  settingFor,
  straightOrBent,
  wholeTurn,
  type DrillId,
  type Ticket,
} from '@dusk-wren/core/drill';
import { must } from '@dusk-wren/core/problem';
import { capital, formatNumber, valueIn } from '@dusk-wren/core/quantity';
import type { ConstructionId } from '@dusk-wren/core/valve';
import { expect, test, type Page } from '@playwright/test';
import { FIRST, signIn } from './bench';

/** Benches of drills, each worked to the end by somebody who knows. */

async function begin(
  page: Page,
  drill: DrillId,
  construction: ConstructionId,
  level: Ticket['level'] = 2,
): Promise<Ticket> {
  const seed = 17;
  await signIn(page, 'Wen Aldous');
  await page.goto(`${FIRST}/drill/${drill}?on=${construction}&level=${level}&seed=${seed}`);
  await expect(page.getByRole('button', { name: 'I go no further' })).toBeVisible();
  return { drill, construction, level, seed };
}
const allTheMarks = (page: Page) =>
  expect(page.getByRole('region', { name: 'Marks' })).toContainText('100 %');
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

test('a line is made dead: every point, zero twice with the gauge tried live between', async ({ page }) => {
  const exercise = must(exerciseOf(makeItDead, await begin(page, 'make-it-dead', 'gate-wedge')));
  for (const move of makeItDead.best(exercise)) {
    if (move.do === 'point')
      await button(page, exercise.points.find(({ id }) => id === move.point)?.title ?? '').click();
    else if (move.do === 'look')
      await button(
        page,
        `Look: ${exercise.energies.find(({ kind }) => kind === move.at)?.where ?? ''}`,
      ).click();
    else if (move.do === 'try live') await button(page, 'Try the gauge on live air').click();
    else if (move.do === 'another gauge') await button(page, 'Take another gauge').click();
    else if (move.do === 'shut further away')
      await button(page, `Have it shut further away ${move.side}`).click();
    else await button(page, 'It is dead').click();
  }
  await allTheMarks(page);
});

test('a stem is read under a dial: runout, high spot, call', async ({ page }) => {
  const exercise = must(exerciseOf(straightOrBent, await begin(page, 'straight-or-bent', 'globe-bolted')));
  const { tir, high } = wholeTurn(exercise);
  await page.getByRole('slider').fill(String(high));
  await expect(page.getByRole('img', { name: /^Dial, its hand at/ })).toBeVisible();
  await button(page, 'The high spot is here').click();
  // To half a division, as a person reads it.
  const half = DIVISION.value / 2;
  await page.getByLabel('Runout, lowest to highest').fill(`${Math.round(tir / half) * half} thou`);
  await page.getByRole('radio', { name: exercise.call === 'fit' ? 'Fit' : 'Bent: renew' }).click();
  await button(page, 'That is what I read').click();
  await allTheMarks(page);
});

test('a joint is bolted up: the wrench set for each pass, crosswise, an early click pulled again', async ({
  page,
}) => {
  const exercise = must(exerciseOf(boltIt, await begin(page, 'bolt-it', 'gate-wedge')));
  for (const move of boltIt.best(exercise)) {
    if (move.do === 'pull') await button(page, new RegExp(`^Bolt ${move.bolt},`)).click();
    else {
      await page.getByLabel('Wrench set to').fill(`${formatNumber(valueIn(move.to, 'lbf·ft'), 1)} ft-lb`);
      await button(page, 'Set it').click();
    }
  }
  expect(settingFor(exercise, exercise.torque).value).toBeGreaterThan(0);
  await allTheMarks(page);
});

test('a bag is sorted against a sheet that serves three kits', async ({ page }) => {
  const { items } = must(exerciseOf(inTheBag, await begin(page, 'in-the-bag', 'control-balanced-cage')));
  for (const { name, pile } of items)
    await page
      .getByRole('radiogroup', { name: `Pile of ${name}`, exact: true })
      .getByRole('radio', { name: capital(pile), exact: true })
      .click();
  await button(page, 'All of it is sorted').click();
  await allTheMarks(page);
});

test('a part is called, with what that costs', async ({ page }) => {
  const exercise = must(exerciseOf(fitOrNot, await begin(page, 'fit-or-not', 'globe-bolted')));
  await page.getByRole('radio', { name: capital(exercise.verdict) }).click();
  if (exercise.cost > 0) await page.getByLabel('What it comes to').fill(String(exercise.cost));
  await button(page, 'That is my call').click();
  await allTheMarks(page);
});

test('a relief valve is set: three pops in a row, nothing turned under pressure', async ({ page }) => {
  const exercise = must(exerciseOf(setIt, await begin(page, 'set-it', 'relief-spring')));
  for (const move of setIt.best(exercise)) {
    if (move.do === 'gag off') await button(page, 'Gag out').click();
    else if (move.do === 'raise') {
      await page.getByLabel('or up to').fill(`${valueIn(move.to, 'psig')} psig`);
      await button(page, 'Pump to there').click();
    } else if (move.do === 'vent') await button(page, 'Let the pressure off').click();
    else if (move.do === 'turn') {
      await page.getByLabel('Turns of the screw').fill(String(Math.abs(move.by)));
      await page
        .getByRole('button', { name: move.by > 0 ? 'Clockwise' : 'Anticlockwise', exact: true })
        .click();
    } else if (move.do === 'ring') {
      await page.getByLabel('Notches of the ring').fill(String(Math.abs(move.by)));
      await button(page, move.by > 0 ? 'Ring down' : 'Ring up').click();
    } else if (move.do === 'tightness') await button(page, /^Count the bubbles/).click();
    else {
      await page
        .getByRole('radio', { name: move.seat === 'tight' ? 'Its seat is tight' : 'Its seat leaks' })
        .click();
      await button(page, 'It is set').click();
    }
  }
  await allTheMarks(page);
});
