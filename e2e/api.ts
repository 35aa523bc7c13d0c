import { jobView, sessionView, type JobView } from '@dusk-wren/contract';
import type { APIRequestContext, Page } from '@playwright/test';

/** Who is signed in there, and the token that goes with a write. */
export const sessionOf = async (request: APIRequestContext, server: string) =>
  sessionView.parse(await (await request.get(`${server}/api/session`)).json());

/** A write as a page would send it. */
export const post = (
  request: APIRequestContext,
  server: string,
  csrf: string,
  path: string,
  body: unknown,
  person = '',
) => request.post(`${server}${path}`, { headers: { 'x-csrf-token': csrf, 'x-person': person }, data: body });

/** A write by who is signed in on this page. */
export async function postFrom(page: Page, path: string, body: unknown) {
  const { origin } = new URL(page.url());
  const { csrf, person } = await sessionOf(page.request, origin);
  return post(page.request, origin, csrf, path, body, person?.id);
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
