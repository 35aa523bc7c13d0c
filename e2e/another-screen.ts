import { peopleView } from '@dusk-wren/contract';
import { expect, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { jobAt, jobPath, post, sessionOf } from './api';
import { FIRST, PIN, SECOND, sign, title } from './bench';

/** Screens that others are signed in at, by server and name: one each for as long as the browser stands. */
const screens = new Map<string, Promise<BrowserContext>>();

/** Signed in without a look at it: signing in is looked at elsewhere. */
async function signedIn(browser: Browser, name: string, server: string): Promise<BrowserContext> {
  const context = await browser.newContext();
  const { people } = peopleView.parse(await (await context.request.get(`${server}/api/people`)).json());
  const { csrf } = await sessionOf(context.request, server);
  const answer = await post(context.request, server, csrf, '/api/session', {
    personId: people.find((person) => person.name === name)?.id,
    pin: PIN,
  });
  expect(answer.status(), await answer.text()).toBe(200);
  return context;
}

/** The job of a page on the screen of somebody else. */
async function onAnotherScreen(
  browser: Browser,
  page: Page,
  { name, server }: { name: string; server: string },
  work: (other: Page) => Promise<void>,
): Promise<void> {
  const screen = screens.get(`${server} ${name}`) ?? signedIn(browser, name, server);
  screens.set(`${server} ${name}`, screen);
  const other = await (await screen).newPage();
  const address = `${server}${jobPath(page)}`;
  await other.goto(address);
  await expect(other.locator('.in-hand, .signed').first()).toBeVisible();
  const had = (await jobAt(other, address)).entries.length;
  await work(other);
  // What the screen shows as done may still be on its way: a screen that is shut takes it along.
  await expect.poll(async () => (await jobAt(other, address)).entries.length).toBeGreaterThan(had);
  await other.close();
}

/** An inspector releases the hold that is in hand on this job. */
export const releaseHold = (browser: Browser, page: Page): Promise<void> =>
  onAnotherScreen(browser, page, { name: 'Noor Castellane', server: FIRST }, async (inspector) => {
    await sign(inspector, /release the hold/);
    await expect(title(inspector)).not.toHaveText(/^Hold/);
  });

/** A second person checks an isolation and signs it, on the other server. */
export const checkIsolation = (browser: Browser, page: Page, name: string): Promise<void> =>
  onAnotherScreen(browser, page, { name, server: SECOND }, async (second) => {
    const before = await title(second).innerText();
    await sign(second);
    // The second signature ends the step: only then is this screen let go.
    await expect(title(second)).not.toHaveText(before);
  });

/** Somebody who did none of the work signs the certificate, on the other server. */
export const signCertificate = (browser: Browser, page: Page, name: string): Promise<void> =>
  onAnotherScreen(browser, page, { name, server: SECOND }, async (other) => {
    await sign(other);
    await expect(other.locator('.signed')).toBeVisible();
  });
