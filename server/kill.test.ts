import { jobView, sessionView } from '@dusk-wren/contract';
import { randomUUID } from 'node:crypto';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { note, openShop, PIN, Screen, type Shop } from './testing/shop';

/** A server process of its own on the shop's database, and a signed-in browser's stand-in on it. */
class ServerProcess {
  private constructor(
    private readonly server: BuiltServer,
    private readonly headers: Record<string, string>,
  ) {}

  static async start(shop: Shop): Promise<ServerProcess> {
    const server = await builtServer({
      ...process.env,
      DATABASE_URL: shop.databaseUrl,
      SESSION_SECRET: shop.config.SESSION_SECRET,
    });
    const { url } = server;
    const first = await fetch(`${url}/api/session`);
    const anonymous = headersFrom(first, sessionView.parse(await first.json()).csrf);
    const signed = await fetch(`${url}/api/session`, {
      method: 'POST',
      headers: anonymous,
      body: JSON.stringify({ personId: shop.people.ada, pin: PIN }),
    });
    const headers = headersFrom(signed, sessionView.parse(await signed.json()).csrf);
    return new ServerProcess(server, { ...headers, 'x-person': shop.people.ada });
  }

  send(job: string, commandId: string, baseVersion: number, text: string): Promise<Response> {
    return fetch(`${this.server.url}/api/jobs/${job}/commands`, {
      method: 'POST',
      headers: this.headers,
      body: JSON.stringify({ baseVersion, commandId, command: note(text) }),
    });
  }

  kill(): Promise<void> {
    return this.server.stop('SIGKILL');
  }
}

function headersFrom(response: Response, csrf: string): Record<string, string> {
  const cookie = response.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
  return { cookie, 'x-csrf-token': csrf, 'content-type': 'application/json' };
}

let shop: Shop;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
});
afterAll(() => shop.close());

describe('kill −9 between request and answer', () => {
  it('loses no acknowledged command and doubles none on retry', { timeout: 120_000 }, async () => {
    const job = await ada.openJob(shop);
    const version = async () => jobView.parse((await ada.get(`/api/jobs/${job}`)).body).version;
    const millisecondsBeforeTheKill = [0, 2, 4, 6, 9, 12, 16, 25];
    for (const [round, patience] of millisecondsBeforeTheKill.entries()) {
      const base = await version();
      const commandId = randomUUID();
      const server = await ServerProcess.start(shop);
      const acknowledged = server
        .send(job, commandId, base, `round ${round}`)
        .then((answer) => answer.status === 200)
        .catch(() => false);
      await new Promise((done) => setTimeout(done, patience));
      await server.kill();
      if (await acknowledged) expect(await version(), `after ${patience} ms`).toBe(base + 1);
      const retried = await ada.command(job, base, note(`round ${round}`), commandId);
      expect(retried.status, `after ${patience} ms`).toBe(200);
      expect(await version(), `after ${patience} ms`).toBe(base + 1);
    }
    const notes = jobView
      .parse((await ada.get(`/api/jobs/${job}`)).body)
      .entries.filter(({ kind }) => kind === 'note-added');
    expect(notes).toHaveLength(millisecondsBeforeTheKill.length);
  });
});
