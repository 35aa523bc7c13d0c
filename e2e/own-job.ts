import { openJobView, valveListView } from '@dusk-wren/contract';
import type { Place, Scope } from '@dusk-wren/core/job';
import { expect, type Page } from '@playwright/test';
import { jobAt, postFrom } from './api';

/** Opens a job of this journey's own, bare or in line, on a bolted globe like one on file; answers with its address. */
export async function openOwnJob(page: Page, place: Place = 'bare', due?: string): Promise<string> {
  const origin = new URL(page.url()).origin;
  const { valves } = valveListView.parse(
    await (await page.request.get(`${origin}/api/valves?limit=100`)).json(),
  );
  const like = valves.find(({ valve }) => valve.construction === 'globe-bolted');
  const { serial: _another, ...valve } = like?.valve ?? {};
  return openOn(page, valve, { place, ...(due === undefined ? {} : { due }) });
}

interface Opened {
  readonly place: Place;
  readonly scope?: Scope;
  /** ISO date. */
  readonly due?: string;
}

/** The same on any valve, and for any scope. */
export const openOn = (page: Page, valve: object, opened: Opened): Promise<string> =>
  open(page, { new: { ...valve, tag: `OWN-${crypto.randomUUID().slice(0, 8)}` } }, opened);

/** And under a tag that it is to have. */
export const openNamed = (page: Page, valve: { readonly tag: string }, opened: Opened): Promise<string> =>
  open(page, { new: valve }, opened);

/** The next job of a valve that this journey has had before. */
export async function openAgain(page: Page, tag: string, opened: Opened): Promise<string> {
  const { origin } = new URL(page.url());
  const found = await page.request.get(`${origin}/api/valves?q=${tag}`);
  const { valves } = valveListView.parse(await found.json());
  return open(page, { id: valves.find(({ valve }) => valve.tag === tag)?.id }, opened);
}

async function open(page: Page, valve: object, opened: Opened): Promise<string> {
  const { origin } = new URL(page.url());
  const answer = await postFrom(page, '/api/jobs', {
    commandId: crypto.randomUUID(),
    valve,
    ...opened,
    reported: 'a journey of its own',
  });
  expect(answer.status(), await answer.text()).toBe(201);
  const { id } = openJobView.parse(await answer.json());
  await page.goto(`${origin}/jobs/${id}`);
  await expect(page.locator('#in-hand')).toBeVisible();
  return page.url();
}

/** The job's log as the server has it: kind, text and name of each entry. */
export async function logOf(page: Page, address: string) {
  const { entries } = await jobAt(page, address);
  return entries.map(({ kind, commandId, by, body }) => ({
    kind,
    commandId,
    by: by.name,
    ...('text' in body ? { text: body.text } : {}),
  }));
}

/** Adds a note on the history of the job that is open. */
export async function addNote(page: Page, text: string): Promise<void> {
  await page.getByRole('button', { name: 'History', exact: true }).click();
  await page.getByLabel('Add a note').fill(text);
  await page.locator('.history').getByRole('button', { name: 'Keep' }).click();
}
