import { jobId as jobIdSchema, type Place, type Scope } from '@dusk-wren/core/job';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { defaultValve, valveSchema, type Valve } from '@dusk-wren/core/valve';
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

interface Worked {
  readonly on: Valve;
  readonly place: Place;
  readonly scope: Scope;
}

async function opened({ on, place, scope }: Worked): Promise<string> {
  const answer = await lea.post('/api/jobs', {
    commandId: randomUUID(),
    valve: { new: on },
    place,
    scope,
    reported: 'must shut on loss of air',
  });
  expect(answer.status, JSON.stringify(answer.body)).toBe(201);
  return String(answer.body.id);
}

/** The record of the valve after a job on it was worked to its certificate. */
async function filedAfter(job: Worked) {
  const id = await opened(job);
  const worked = new BenchJob(job.on, job).workTo('release.sign');
  const before = worked.state;
  worked.workTo('nothing');
  const entries = worked.log.slice(before.version);
  expect(entries.map(({ kind }) => kind)).toContain('certificate-signed');
  await shop.sequelize.transaction((transaction) =>
    follow({ jobId: jobIdSchema.parse(id), before, after: worked.state, entries, transaction }),
  );
  const row = await JobRow.findByPk(id);
  const filed = await ValveRow.findByPk(row?.valveId ?? '');
  return valveSchema.parse(JSON.parse(filed?.body ?? '{}'));
}

describe('a valve on file', () => {
  const inLine = (scope: Scope) => ({
    on: { ...valve, tag: `FV-${scope}` },
    place: 'in line' as const,
    scope,
  });
  it('fails as the signed job made it, and the next job starts from there', async () => {
    const filed = await filedAfter(inLine('reversal'));
    expect(filed.features.moved).toMatchObject({ action: 'air-to-open', reversing: false });
    expect(filed.tag).toBe('FV-reversal');
  });
  it('fails as it did when nothing was reversed', async () => {
    const filed = await filedAfter(inLine('repack'));
    expect(filed.features.moved).toMatchObject({ action: 'air-to-close' });
  });
  it('remembers that its cartridge has been turned: the next service wants new seats (common practice)', async () => {
    const on = { ...defaultValve('control-ball-in-venturi'), tag: 'BV-1' };
    const filed = await filedAfter({ on, place: 'bare', scope: 'overhaul' });
    expect(filed.features.seat).toMatchObject({ kind: 'cartridge', service: 'second' });
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
