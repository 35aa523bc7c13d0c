import { jobId, type JobId } from '@dusk-wren/core/job';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openShop, Screen, type Shop } from '../testing/shop';
import { Printer } from './printer';

let shop: Shop;
let job: JobId;
beforeAll(async () => {
  shop = await openShop();
  job = jobId.parse(await (await Screen.open(shop, 'ada')).openJob(shop));
});
afterAll(() => shop.close());

describe('papers', () => {
  it('are printed beside the server: it goes on answering meanwhile', async () => {
    const printer = new Printer(() => Promise.resolve({ name: 'Test Street valve shop', zone: 'UTC' }));
    let turns = 0;
    let printing = true;
    const turning = (): void => {
      turns++;
      if (printing) setImmediate(turning);
    };
    setImmediate(turning);
    const asked = {
      paper: 'certificate',
      jobId: job,
      version: 2,
      units: 'SI',
      site: 'http://shop',
    } as const;
    const [first, second] = await Promise.all([
      printer.print(asked),
      printer.print({ ...asked, paper: 'job-sheet' }),
    ]);
    printing = false;
    expect(first.subarray(0, 5).toString()).toBe('%PDF-');
    expect(second.subarray(0, 5).toString()).toBe('%PDF-');
    // On the event loop itself, both would have been one or two turns.
    expect(turns).toBeGreaterThan(100);
    expect(await printer.print(asked)).toBe(first);
    expect(await printer.print({ ...asked, units: 'US' })).not.toBe(first);
    await printer.close();
  });
});
