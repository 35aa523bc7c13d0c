import { jobView } from '@dusk-wren/contract';
import { defaultValve } from '@dusk-wren/core/valve';
import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { balancer, type Balancer } from '../scripts/machine/balancer.mjs';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { privateCluster, type ClusterNode, type PrivateCluster } from '../scripts/machine/cluster.mjs';
import { transacted } from './database/transacted';
import { fileValve } from './database/valves';
import { Browser } from './testing/browser';
import { PersistentPage } from './testing/persistent-page';
import { note, openShop, Screen, type Shop } from './testing/shop';

/** Three nodes, two servers, a balancer: each of them may be killed while people work. */

let cluster: PrivateCluster;
let front: Balancer;
let shop: Shop;
const servers: BuiltServer[] = [];

async function startServer(i: number): Promise<void> {
  const way = front.ways[i];
  if (!way) throw new Error('no such server');
  servers[i] = await builtServer(
    {
      ...process.env,
      DATABASE_URL: shop.databaseUrl.replace(/:\d+\//, `:${way.node}/`),
      DATABASE_SILENCE: '5',
      SESSION_SECRET: shop.config.SESSION_SECRET,
      TRUST_PROXY: '1',
      NODE_ENV: 'test',
      LOG_LEVEL: 'error',
    },
    way.server,
  );
}

beforeAll(async () => {
  cluster = await privateCluster({ name: 'test-cluster', mayCreate: true });
  front = await balancer({ nodes: cluster.nodes, servers: 2 });
  shop = await openShop({}, node(0).url('mysql'));
  await Promise.all([startServer(0), startServer(1)]);
  await vi.waitFor(async () => expect((await fetch(`${front.url}/readyz`)).status).toBe(200), 20_000);
}, 180_000);
afterAll(async () => {
  await Promise.all(servers.map((server) => server.stop()));
  await front.stop();
  await shop.close();
  await cluster.stop();
}, 60_000);

/** A job on a valve of its own. */
async function openJob(by: Screen, tag: string): Promise<string> {
  const { id } = await transacted(shop.sequelize, (transaction) =>
    fileValve({ ...defaultValve(), tag }, transaction),
  );
  return by.openJob({ ...shop, valve: id });
}

function node(i: number): ClusterNode {
  const found = cluster.nodes[i];
  if (!found) throw new Error('no such node');
  return found;
}

/** What a node keeps of every job's log, as one text. */
async function logsAt(of: ClusterNode): Promise<string> {
  const connection = await createConnection(of.url(new URL(shop.databaseUrl).pathname.slice(1)));
  try {
    const rows: unknown = await connection.query(
      'SELECT job_id, seq, command_id, hash FROM job_events ORDER BY job_id, seq',
    );
    return JSON.stringify(rows);
  } finally {
    await connection.end();
  }
}

describe('a shop on three nodes and two servers', () => {
  it('what one server commits is heard on the other, by one session', { timeout: 60_000 }, async () => {
    const [one, two] = servers;
    if (!one || !two) throw new Error('two servers');
    const ada = await Browser.open(one.url, shop.people.ada);
    const job = await openJob(await Screen.open(shop, 'ada'), 'C-0');
    const leave = new AbortController();
    const live = await ada.by(two.url).get(`/api/jobs/${job}/live?after=2`, leave.signal);
    const heard = live.body?.pipeThrough(new TextDecoderStream()).getReader();
    const began = performance.now();
    expect((await ada.command(job, 2, note('heard elsewhere'), randomUUID())).status).toBe(200);
    let said = '';
    while (heard && !said.includes('heard elsewhere')) said += (await heard.read()).value ?? '';
    expect(said).toContain('heard elsewhere');
    process.stdout.write(`  heard on the other server after ${Math.round(performance.now() - began)} ms\n`);
    leave.abort();
  });

  it(
    'any node and any server killed under load: nothing acknowledged is lost, nothing doubled, nobody signs in again',
    { timeout: 400_000 },
    async () => {
      const ada = await Screen.open(shop, 'ada');
      const pages = await Promise.all(
        (['ada', 'bo', 'ada', 'bo', 'lea', 'lea'] as const).map(async (who, i) =>
          PersistentPage.open(front.url, shop.people[who], await openJob(ada, `C-${i + 1}`)),
        ),
      );
      // Two people on one job, whose commands meet.
      const shared = await openJob(ada, 'C-9');
      for (const who of ['ada', 'bo'] as const)
        pages.push(await PersistentPage.open(front.url, shop.people[who], shared));
      const at = pages.map((page) => page.work());
      const allGoOn = async (after: string) => {
        const began = performance.now();
        await Promise.all(pages.map((page) => page.goesOn(3)));
        expect(pages.flatMap((page) => page.refused)).toEqual([]);
        process.stdout.write(
          `  ${after}: all eight went on within ${Math.round(performance.now() - began)} ms\n`,
        );
      };

      await allGoOn('at first');
      for (const i of [0, 1, 2]) {
        await node(i).kill();
        await allGoOn(`${node(i).name} killed`);
        await node(i).start();
        await allGoOn(`${node(i).name} back`);
      }
      for (const i of [0, 1]) {
        await servers[i]?.stop('SIGKILL');
        await allGoOn(`server ${i + 1} killed`);
        await startServer(i);
        await allGoOn(`server ${i + 1} back`);
      }
      node(1).signal('SIGSTOP');
      await allGoOn('node-2 stopped in its tracks');
      node(1).signal('SIGCONT');
      await allGoOn('node-2 awake');

      for (const page of pages) page.stop();
      await Promise.all(at);

      // One that was out of it for a while catches up before it answers.
      const said = await vi.waitFor(() => Promise.all(cluster.nodes.map(logsAt)), {
        timeout: 60_000,
        interval: 500,
      });
      expect(new Set(said).size).toBe(1);
      for (const page of pages) {
        const { entries } = jobView.parse(await (await page.browser.get(`/api/jobs/${page.job}`)).json());
        const notes = entries.flatMap((entry) => (entry.kind === 'note-added' ? [entry] : []));
        const own = notes.filter(({ by }) => by.id === page.person).map(({ body }) => body.text);
        expect(own).toEqual(page.acknowledged);
        expect(entries.map(({ seq }) => seq)).toEqual(entries.map((_, i) => i + 1));
      }
      process.stdout.write(
        `  ${pages.reduce((sum, page) => sum + page.acknowledged.length, 0)} acknowledged; the longest wait for one ${Math.round(Math.max(...pages.map((page) => page.longest)))} ms\n`,
      );
    },
  );
});
