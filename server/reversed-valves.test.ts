import { jobId as jobIdSchema } from '@dusk-wren/core/job';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { defaultValve, valveSchema } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { follow } from './database/followers';
import { JobRow, ValveRow } from './database/models';
import { openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let lea: Screen;
beforeAll(async () => {
  shop = await openShop();
  lea = await Screen.open(shop, 'lea');
});
afterAll(() => shop.close());

const valve = { ...defaultValve('control-rotary-eccentric'), tag: 'FV-1', ends: 'screwed' as const };

async function opened(scope: 'reversal' | 'repack'): Promise<string> {
  const answer = await lea.post('/api/jobs', {
    commandId: randomUUID(),
    valve: { new: { ...valve, tag: `FV-${scope}` } },
    place: 'in line',
    scope,
    reported: 'must shut on loss of air',
  });
  expect(answer.status, JSON.stringify(answer.body)).toBe(201);
  return String(answer.body.id);
}

/** The record of the valve after a job like it was worked to its certificate. */
async function filedAfter(job: string, scope: 'reversal' | 'repack') {
  const worked = new BenchJob(valve, { place: 'in line', scope }).workTo('release.sign');
  const before = worked.state;
  worked.workTo('nothing');
  const entries = worked.log.slice(before.version);
  expect(entries.map(({ kind }) => kind)).toContain('certificate-signed');
  await shop.sequelize.transaction((transaction) =>
    follow({ jobId: jobIdSchema.parse(job), before, after: worked.state, entries, transaction }),
  );
  const row = await JobRow.findByPk(job);
  const filed = await ValveRow.findByPk(row?.valveId ?? '');
  return valveSchema.parse(JSON.parse(filed?.body ?? '{}'));
}

describe('what a valve does when it fails, on file', () => {
  it('is what the signed job made of it, and the next job starts from there', async () => {
    const filed = await filedAfter(await opened('reversal'), 'reversal');
    expect(filed.features.moved).toMatchObject({ action: 'air-to-open', reversing: false });
    expect(filed.tag).toBe('FV-reversal');
  });
  it('stays what it was when nothing was reversed', async () => {
    const filed = await filedAfter(await opened('repack'), 'repack');
    expect(filed.features.moved).toMatchObject({ action: 'air-to-close' });
  });
  it('a job that this valve cannot be in for is not opened', async () => {
    const answer = await lea.post('/api/jobs', {
      commandId: randomUUID(),
      valve: { new: { ...defaultValve('globe-bolted'), tag: 'GV-1' } },
      place: 'bare',
      scope: 'positioner',
      reported: '',
    });
    expect(answer.status).toBe(422);
    expect(answer.body.text).toMatch(/positioner or relay only/);
  });
});
