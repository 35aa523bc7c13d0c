import { jobView, sessionView, type JobView } from '@dusk-wren/contract';
import type { Page } from '@playwright/test';

/** A write as the page itself would send it, by who is signed in on it. */
export async function post(page: Page, path: string, body: unknown) {
  const { origin } = new URL(page.url());
  const { csrf, person } = sessionView.parse(await (await page.request.get(`${origin}/api/session`)).json());
  return page.request.post(`${origin}${path}`, {
    headers: { 'x-csrf-token': csrf, 'x-person': person?.id ?? '' },
    data: body,
  });
}

/** The path of the job that a page is on, as the server has it. */
export const jobPath = (page: Page): string =>
  /\/jobs\/[0-9a-f-]{36}/.exec(page.url())?.[0] ?? fail(`${page.url()} is no page of a job`);

/** The job of an address as the server has it. */
export async function jobAt(page: Page, address = page.url()): Promise<JobView> {
  const { origin, pathname } = new URL(address);
  return jobView.parse(await (await page.request.get(`${origin}/api${pathname}`)).json());
}

function fail(words: string): never {
  throw new Error(words);
}
