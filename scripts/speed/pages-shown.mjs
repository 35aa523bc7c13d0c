import { note } from '../machine/say.mjs';
import { signedIn } from './signed-in.mjs';

const TIMES = 5;
/** What a page is opened for: once it is on the screen the page is. */
const SHOWN = [
  ['The floor on the screen', '/', '.floor .counts'],
  ['The register on the screen', '/valves', 'a.tag'],
  ['Due on the screen', '/valves/due', 'main li a'],
  ['The store on the screen', '/store', 'main tbody td'],
  ['Instruments and recalls on the screen', '/setup?view=instruments', '.instruments h3, .instruments h2'],
  ['The fleet on the screen', '/valves/fleet', 'main .link-button'],
];

export const OPENED = SHOWN.map(([what]) => what);

/** Milliseconds from the address until what a page is for is on the screen, for a lead: the middle one of five times. */
export async function pagesShown(url) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const shop = await signedIn(`${url}/api`, 'Petra Lundholm');
    const cookies = shop.headers().cookie.split('; ');
    await context.addCookies(
      cookies.map((pair) => {
        const at = pair.indexOf('=');
        return { name: pair.slice(0, at), value: pair.slice(at + 1), url };
      }),
    );
    const page = await context.newPage();
    const shown = new Map();
    for (const [what, path, selector] of SHOWN) {
      const times = [];
      // Once before it counts: a browser keeps what a page is made of.
      for (let i = 0; i <= TIMES; i++) {
        const began = performance.now();
        await page.goto(`${url}${path}`, { waitUntil: 'commit' });
        await page.locator(selector).first().waitFor();
        if (i > 0) times.push(performance.now() - began);
      }
      shown.set(what, times.toSorted((a, b) => a - b)[Math.floor(TIMES / 2)]);
    }
    note(`opened ${shown.size} pages in a browser`);
    return shown;
  } finally {
    await browser.close();
  }
}
