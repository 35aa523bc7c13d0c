import { expect, type Page } from '@playwright/test';

interface Session {
  readonly csrf: string;
  readonly person: { readonly id: string } | null;
}

/** A write as the page itself would send it, by who is signed in on it. */
async function post(page: Page, path: string, body: unknown) {
  const origin = new URL(page.url()).origin;
  const { csrf, person } = (await (await page.request.get(`${origin}/api/session`)).json()) as Session;
  return page.request.post(`${origin}${path}`, {
    headers: { 'x-csrf-token': csrf, 'x-person': person?.id ?? '' },
    data: body,
  });
}

/** Opens a job of this journey's own, bare or in line, on a bolted globe like one on file; answers with its address. */
export async function openOwnJob(page: Page, came: 'bare' | 'in line' = 'bare'): Promise<string> {
  const origin = new URL(page.url()).origin;
  const { valves } = (await (await page.request.get(`${origin}/api/valves?limit=100`)).json()) as {
    valves: { valve: { construction: string; serial?: string } }[];
  };
  const like = valves.find(({ valve }) => valve.construction === 'globe-bolted');
  const { serial: _another, ...valve } = like?.valve ?? {};
  const answer = await post(page, '/api/jobs', {
    commandId: crypto.randomUUID(),
    valve: { new: { ...valve, tag: `OWN-${crypto.randomUUID().slice(0, 8)}` } },
    came,
    reported: 'a journey of its own',
  });
  expect(answer.status(), await answer.text()).toBe(201);
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`${origin}/jobs/${id}`);
  await expect(page.locator('#in-hand')).toBeVisible();
  return page.url();
}

/** The job's log as the server has it: kind, text and name of each entry. */
export async function logOf(page: Page, address: string) {
  const answer = await page.request.get(address.replace('/jobs/', '/api/jobs/'));
  const { entries } = (await answer.json()) as {
    entries: { kind: string; commandId: string; by: { name: string }; body: { text?: string } }[];
  };
  return entries.map(({ kind, commandId, by, body }) => ({ kind, commandId, by: by.name, text: body.text }));
}

/** Adds a note on the history of the job that is open. */
export async function addNote(page: Page, text: string): Promise<void> {
  await page.getByRole('button', { name: 'History', exact: true }).click();
  await page.getByLabel('Add a note').fill(text);
  await page.locator('.history').getByRole('button', { name: 'Keep' }).click();
}
