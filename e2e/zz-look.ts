import { chromium } from '@playwright/test';
import { signIn } from './bench';
const HERE = 'http://127.0.0.1:4791';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] });
const [width, height] = (process.env['SIZE'] ?? '1280x800').split('x').map(Number);
const page = await browser.newPage({ viewport: { width: width ?? 1280, height: height ?? 800 } });
page.on('pageerror', (e) => console.log('ERR', e.message));
await signIn(page, 'Petra Lundholm', HERE);
if (process.env['LOOK'] === 'daylight') await page.getByRole('button', { name: 'Daylight' }).click();
for (const each of process.argv.slice(2)) {
  const [path = '', name = 'x', ...clicks] = each.split('|');
  let to = path;
  if (path.startsWith('tag:')) {
    const found = (await (await page.request.get(`${HERE}/api/register?q=${path.slice(4)}`)).json()) as { valves: { id: string }[] };
    to = `/valves/${found.valves[0]?.id ?? ''}`;
  }
  await page.goto(HERE + to);
  await page.waitForTimeout(2200);
  for (const click of clicks) { await page.getByText(click, { exact: false }).first().click(); await page.waitForTimeout(1200); }
  await page.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: process.env['FULL'] === '1' });
}
await browser.close();
