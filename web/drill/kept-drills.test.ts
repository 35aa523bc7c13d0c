import 'fake-indexeddb/auto';
import { attemptsRequest, type DrillsView } from '@dusk-wren/contract/drills';
import { DRILLS, ticketFor } from '@dusk-wren/core/drill';
import { must } from '@dusk-wren/core/problem';
import { createPinia, setActivePinia } from 'pinia';
import { randomBytes, randomUUID } from 'node:crypto';
import { nextTick } from 'vue';
import { beforeEach, describe, expect, it } from 'vitest';
import { device } from '../stores/device';
import { useSession } from '../stores/session';
import { useDrills, type WaitingAttempt } from './drills';

const ADA = { id: randomUUID(), name: 'Ada', role: 'technician' as const };

/** A server that can be out of reach, and keeps what it is sent. */
class Server {
  reach: 'there' | 'away' | 'says no' = 'there';
  readonly sent: string[] = [];
  readonly view: DrillsView = { zone: 'UTC', done: [], tasks: [] };

  readonly fetch = (address: string | URL | Request, init?: RequestInit): Promise<Response> => {
    if (this.reach === 'away') return Promise.reject(new Error('no connection'));
    if (!String(address).endsWith('/attempts')) return Promise.resolve(Response.json(this.view));
    if (this.reach === 'says no') {
      const problem = { problem: { code: 'request.invalid', issues: [] }, text: 'no' };
      return Promise.resolve(Response.json(problem, { status: 400 }));
    }
    const { attempts } = attemptsRequest.parse(JSON.parse(String(init?.body)));
    this.sent.push(...attempts.map(({ id }) => id));
    return Promise.resolve(
      Response.json({ kept: attempts.map(({ id }) => ({ id, score: 1, refused: null })) }),
    );
  };
}

function attempt(seed = 1): WaitingAttempt {
  const ticket = ticketFor('fit-or-not', 1, seed);
  const { best } = must(DRILLS['fit-or-not'].sit(ticket));
  return {
    ...{ id: randomUUID(), ticket, moves: [...best], hints: 0, seconds: 30, score: 1 },
    at: new Date().toISOString(),
  };
}

let server = new Server();
async function opened(): Promise<ReturnType<typeof useDrills>> {
  setActivePinia(createPinia());
  useSession().person = ADA as never;
  const drills = useDrills();
  await nextTick();
  return drills;
}

beforeEach(async () => {
  server = new Server();
  globalThis.fetch = server.fetch;
  await device.unlock(ADA.id, randomBytes(32).toString('base64'));
});

describe('exercises that were done on a device', () => {
  it('are sent at once where the server is there', async () => {
    const drills = await opened();
    const one = attempt();
    await drills.record(one);
    expect(server.sent).toEqual([one.id]);
    expect(drills.waiting).toBe(0);
  });
  it('wait where it is not, count all the same, and are sent later, each once', async () => {
    const drills = await opened();
    server.reach = 'away';
    const both = [attempt(1), attempt(2)];
    for (const each of both) await drills.record(each);
    expect(drills.waiting).toBe(2);
    expect(drills.skills.find(({ drill }) => drill === 'fit-or-not')?.done).toBe(2);
    server.reach = 'there';
    await Promise.all([drills.load(), drills.load()]);
    expect(server.sent).toEqual(both.map(({ id }) => id));
    expect(drills.waiting).toBe(0);
  });
  it('are there again after the page was closed', async () => {
    server.reach = 'away';
    const one = attempt();
    await (await opened()).record(one);
    server.reach = 'there';
    const again = await opened();
    expect(again.waiting).toBe(1);
    await again.load();
    expect(server.sent).toEqual([one.id]);
  });
  it('that the server says no to are said, and hold up nothing', async () => {
    const drills = await opened();
    server.reach = 'says no';
    await drills.record(attempt());
    expect(drills.waiting).toBe(0);
    expect(drills.problem).toBe('no');
  });
});
