import { psig, quantity } from '@dusk-wren/core/quantity';
import { defaultValve } from '@dusk-wren/core/valve';
import { expect, test, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createInterface } from 'node:readline';
import { join } from 'node:path';
import { jobAt, postFrom } from './api';
import { nothingSerious } from './axe';
import { FIRST, inHand, signIn, title } from './bench';
import { openOn, openOwnJob } from './own-job';
import { workTo } from './plain';
import { root } from './play-demo';

/** Instruments on the network: the whole way, to a device that is a process of its own, and back. */

let device: ChildProcess | undefined;
/** Ten times faster than ours, at the port that it had before. */
async function startDevice(port?: number): Promise<number> {
  device = spawn(process.execPath, [join(root, 'server/dist/bench-device.mjs')], {
    env: { BENCH_DEVICE_RATE: '10', ...(port === undefined ? {} : { BENCH_DEVICE_PORT: String(port) }) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (!device.stdout) throw new Error('it says nothing');
  for await (const line of createInterface(device.stdout))
    return (JSON.parse(line) as { ready: number }).ready;
  throw new Error('it has ended');
}
async function stopDevice(): Promise<void> {
  const stopped = device;
  device = undefined;
  if (!stopped) return;
  stopped.kill('SIGKILL');
  await once(stopped, 'exit');
}
test.afterEach(stopDevice);

/** An instrument on the register, that a lead sets up on its page. */
async function onTheRegister(page: Page, name: string, kind: string, driver: string, settings: object) {
  const asked = {
    name,
    kind,
    driver,
    settings,
    calibrationDue: '2099-01-31',
    serial: '',
    reach: '',
    resolution: '',
  };
  const added = await postFrom(page, '/api/setup/instruments', asked);
  expect(added.status(), await added.text()).toBe(201);
}

test('a thermometer that reads ten times too much is held against its own face, and set right', async ({
  page,
}) => {
  const port = await startDevice();
  await signIn(page, 'Petra Lundholm');
  const wrong = { port, 'temperature: register': 20, 'temperature: type': 'int16' };
  await onTheRegister(page, 'Thermometer net', 'thermometer', 'Modbus thermometer', wrong);
  await page.goto(`${FIRST}/setup?view=instruments`);
  const card = page.locator('details', { hasText: 'Thermometer net' });
  await card.locator('summary').first().click();
  const reads = card.getByRole('region', { name: 'What reads it' });
  await test.step('it is tried', async () => {
    await reads.getByRole('button', { name: 'Try it' }).click();
    await expect(reads.getByText(/It reads 4\d\d °F/)).toBeVisible();
    await nothingSerious(page);
    await reads.getByRole('button', { name: 'Stop trying' }).click();
  });
  await test.step('what its own face shows says how it has to be set', async () => {
    await reads.getByLabel('Its own face shows').fill('21.4');
    await reads.getByRole('button', { name: 'Compare' }).click();
    await expect(reads.getByText(/It comes as 21\d °C.*if it were set so/)).toBeVisible();
    await reads.getByRole('button', { name: 'int16, AB CD, times 0.1, in °C', exact: true }).click();
    await reads.getByRole('button', { name: 'Compare' }).click();
    await expect(reads.getByText(/set as it should be/)).toBeVisible();
    await reads.getByRole('button', { name: 'Keep it so' }).click();
    await expect(reads.getByRole('button', { name: 'Keep it so' })).toBeHidden();
    await reads.getByRole('button', { name: 'Try it' }).click();
    await expect(reads.getByText(/It reads 7\d °F/)).toBeVisible();
  });
});

test('a gauge at a vent that is lost while it is watched is said to be, and is watched anew', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const port = await startDevice();
  await signIn(page, 'Petra Lundholm');
  await onTheRegister(page, 'Gauge net', 'gauge', 'Modbus gauge', { port, 'pressure: register': 4 });
  const address = await openOwnJob(page, 'in line');
  await workTo(page, /^Prove zero: upstream/);
  const proof = await title(page).innerText();
  await inHand(page).getByLabel('Instrument').selectOption({ label: 'Gauge net (simulated)' });
  await inHand(page)
    .getByRole('button', { name: /Open the vent/ })
    .click();
  await expect(inHand(page).getByText(/Still falling/)).toBeVisible();
  await test.step('pulled out, nothing can be taken', async () => {
    await stopDevice();
    await expect(inHand(page).getByRole('alert')).toContainText(`127.0.0.1:${port} does not answer`);
    await expect(inHand(page).getByText('Watched for too short a time yet.')).toBeVisible();
    await expect(inHand(page).getByRole('button', { name: 'Take this reading' })).toBeDisabled();
    await nothingSerious(page);
  });
  await test.step('put in again, it goes on by itself', async () => {
    await startDevice(port);
    await expect(inHand(page).getByRole('alert')).toBeHidden({ timeout: 20_000 });
    const take = inHand(page).getByRole('button', { name: 'Take this reading' });
    await expect(take).toBeEnabled({ timeout: 30_000 });
    await take.click();
    await expect(title(page)).not.toHaveText(proof);
  });
  const readLast = async () => {
    const { entries } = await jobAt(page, address);
    return entries.flatMap((entry) => (entry.kind === 'measured' ? [entry.body.readBy] : [])).at(-1);
  };
  await expect.poll(readLast).toMatchObject({ name: 'Gauge net', simulated: true });
});

test('a hot body is opened once a thermometer on it says that it may be: read off the network, with which it was', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const port = await startDevice();
  await signIn(page, 'Petra Lundholm');
  const rightly = { 'temperature: register': 20, 'temperature: type': 'int16', 'temperature: scale': 0.1 };
  const name = 'Thermometer on the body';
  await onTheRegister(page, name, 'thermometer', 'Modbus thermometer', { port, ...rightly });
  const steam = {
    name: 'Steam',
    hazards: ['hot'],
    pressure: psig(520),
    temperature: quantity('temperature', 240, '°C'),
  };
  const valve = { ...defaultValve('globe-bolted'), ends: 'flanged', medium: steam };
  const address = await openOn(page, valve, { place: 'in line' });
  await workTo(page, /cool enough to touch$/);
  const proof = await title(page).innerText();
  await inHand(page)
    .getByLabel('Instrument')
    .selectOption({ label: `${name} (simulated)` });
  await inHand(page).getByRole('button', { name: 'Thermometer on it' }).click();
  const keep = inHand(page).getByRole('button', { name: /^Keep 7\d\.?\d* °F/ });
  await expect(keep).toBeEnabled({ timeout: 20_000 });
  await nothingSerious(page);
  await keep.click();
  await expect(title(page)).not.toHaveText(proof);
  const last = async () => {
    const { entries } = await jobAt(page, address);
    return entries.flatMap((entry) => (entry.kind === 'measured' ? [entry.body.readBy] : [])).at(-1);
  };
  await expect.poll(last).toMatchObject({ name, kind: 'thermometer' });
});
