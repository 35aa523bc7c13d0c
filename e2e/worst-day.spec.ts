import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { createConnection } from 'mariadb';
import { join } from 'node:path';
import { balancer, type Balancer } from '../scripts/machine/balancer.mjs';
import { builtServer, type BuiltServer } from '../scripts/machine/built-server.mjs';
import { privateCluster, type ClusterNode, type PrivateCluster } from '../scripts/machine/cluster.mjs';
import { z } from 'zod';
import { DEMO, PIN, signIn } from './bench';
import { addNote, logOf, openOwnJob } from './own-job';
import { copyDatabase, root } from './play-demo';

/** Two benches and a phone in a running week on three nodes and two servers, and all that can go wrong on one day. */

const readiness = z.object({ clockJump: z.object({ bySeconds: z.number() }).optional() });
const NAME = 'dw_e2e_worst';
let room = '192M';
let cluster: PrivateCluster;
let front: Balancer;
const servers: BuiltServer[] = [];

const node = (i: number): ClusterNode => {
  const found = cluster.nodes[i];
  if (!found) throw new Error('no such node');
  return found;
};

async function startServer(i: number): Promise<void> {
  const way = front.ways[i];
  if (!way) throw new Error('no such server');
  servers[i] = await builtServer(
    {
      ...process.env,
      DATABASE_URL: node(0)
        .url(NAME)
        .replace(/:\d+\//, `:${way.node}/`),
      DATABASE_SILENCE: '5',
      SESSION_SECRET: 'a secret for the worst day alone, 32+',
      TRUST_PROXY: '1',
      WEB_ROOT: join(root, 'web/dist'),
      LOG_LEVEL: 'fatal',
      NODE_ENV: 'production',
      NODE_OPTIONS: `--import ${join(root, 'e2e/clock-back.mjs')}`,
    },
    way.server,
  );
}

/** Somebody at a screen, with a job of their own, and all that they entered there. */
class AtAScreen {
  readonly entered: { readonly text: string; readonly by: string }[] = [];
  private constructor(
    readonly context: BrowserContext,
    readonly page: Page,
    readonly address: string,
    public name: string,
  ) {}

  static async open(browser: Browser, name: string, width = 1280): Promise<AtAScreen> {
    const context = await browser.newContext({ viewport: { width, height: 844 } });
    const page = await context.newPage();
    await signIn(page, name, front.url);
    return new AtAScreen(context, page, await openOwnJob(page), name);
  }

  async enter(text: string): Promise<void> {
    await addNote(this.page, text);
    this.entered.push({ text, by: this.name });
  }

  readonly alert = () => this.page.getByRole('alert').first();

  /** Once the server has all that was entered here, and the page says nothing more of it. */
  async allKept(): Promise<void> {
    await expect(async () => {
      const kept = (await logOf(this.page, this.address)).map(({ text }) => text);
      expect(kept).toEqual(expect.arrayContaining(this.entered.map(({ text }) => text)));
    }).toPass({ timeout: 60_000 });
    await expect(this.page.getByText('Waiting on this device')).toHaveCount(0, { timeout: 60_000 });
  }
}

test.beforeAll(async () => {
  test.setTimeout(240_000);
  cluster = await privateCluster({
    name: 'e2e-worst',
    databases: [NAME],
    atFirst: 1,
    more: () => ['--innodb-file-per-table=0', `--innodb-data-file-path=ibdata1:12M:autoextend:max:${room}`],
  });
  front = await balancer({ nodes: cluster.nodes, servers: 2 });
  await copyDatabase(DEMO, node(0).url(NAME));
  await Promise.all([startServer(0), startServer(1)]);
  await expect(async () => expect((await fetch(`${front.url}/readyz`)).status).toBe(200)).toPass();
});
test.afterAll(async () => {
  await Promise.all(servers.map((server) => server.stop()));
  await front.stop();
  await cluster.stop();
});

/** Fills what room the database has, to the last page. */
async function fillDisk(): Promise<void> {
  const connection = await createConnection(node(0).url(NAME));
  await connection.query('CREATE TABLE filler (id INT AUTO_INCREMENT PRIMARY KEY, b LONGBLOB)');
  for (const size of [4e6, 1e6, 1e5, 1e4, 1e3])
    for (let isFull = false; !isFull;)
      isFull = await connection.query('INSERT INTO filler (b) VALUES (?)', [Buffer.alloc(size, 1)]).then(
        () => false,
        () => true,
      );
  await connection.end();
}

test('the worst day: disk full, node killed, network cut, two at one bench, database killed, server killed, clock an hour back', async ({
  browser,
}) => {
  test.setTimeout(600_000);
  const bench = await AtAScreen.open(browser, 'Ines Okoro');
  const other = await AtAScreen.open(browser, 'Wen Aldous');
  const phone = await AtAScreen.open(browser, 'Jory Velde', 390);
  const everybody = [bench, other, phone];
  const figures: string[] = [];
  const allEnter = async (when: string) => {
    for (const each of everybody) await each.enter(`${each.name}: ${when}`);
  };
  const allKept = async (when: string) => {
    const began = performance.now();
    for (const each of everybody) await each.allKept();
    figures.push(`${when}: all kept after ${((performance.now() - began) / 1000).toFixed(1)} s`);
  };

  await test.step('the disk is full: it is said, all can be read, what is entered waits', async () => {
    await allEnter('before anything');
    await allKept('before anything');
    await fillDisk();
    // What little room a row finds is used up first.
    await expect(async () => {
      await bench.enter(`no room ${bench.entered.length} ${'x'.repeat(300)}`);
      await expect(bench.alert()).toContainText('The shop’s disk is full', { timeout: 1000 });
    }).toPass({ timeout: 60_000 });
    await expect(bench.alert()).toContainText('what is stored is safe and can be read');
    await expect(bench.alert()).toContainText('1 entry');
    await node(0).kill();
    room = '512M';
    await node(0).start();
    await allKept('room made');
  });

  await test.step('the other nodes come while people work', async () => {
    await allEnter('while nodes come');
    await node(1).start();
    await node(2).start();
    await allKept('two more nodes');
  });

  await test.step('a node is killed: nobody signs in again', async () => {
    await node(0).kill();
    await allEnter('a node is dead');
    await allKept('node killed');
    await node(0).start();
  });

  await test.step('the network is cut on the phone: it says what waits, the benches go on', async () => {
    await phone.context.setOffline(true);
    await phone.enter('without a network');
    await phone.enter('still without one');
    await expect(phone.alert()).toContainText('Waiting on this device: 2 entries');
    await bench.enter('the phone is away');
    await bench.allKept();
    await phone.context.setOffline(false);
    await allKept('network back');
  });

  await test.step('two people at one bench: what the first one entered goes out under their name alone', async () => {
    await bench.page.route('**/live?*', () => undefined);
    await bench.page.reload();
    await expect(bench.page.locator('#in-hand')).toBeVisible();
    const connection = await createConnection(node(0).url(NAME));
    await connection.query(
      'DELETE FROM sessions WHERE data LIKE CONCAT("%", (SELECT id FROM people WHERE name = ?), "%")',
      [bench.name],
    );
    await connection.end();
    await bench.enter('my sign-in has ended');
    await expect(bench.alert()).toContainText('Your sign-in has ended.');
    await expect(bench.alert()).toContainText('Waiting on this device: 1 entry');
    await bench.page.getByRole('link', { name: 'Sign in again' }).click();
    await bench.page.getByRole('button', { name: /Tam Brackley/ }).click();
    await bench.page.getByLabel(/^PIN of/).fill(PIN);
    await bench.page.getByRole('button', { name: 'Sign in' }).click();
    await expect(bench.page.getByText('1 entry of Ines Okoro waits on this device')).toBeVisible();
    bench.name = 'Tam Brackley';
    await bench.enter('said by the next one');
    await bench.page.getByRole('button', { name: /sign out/ }).click();
    await signIn(bench.page, 'Ines Okoro', front.url);
    bench.name = 'Ines Okoro';
    await bench.page.goto(bench.address);
    await bench.page.unroute('**/live?*');
    await bench.page.reload();
    await allKept('two at one bench');
  });

  await test.step('the database is killed, all three nodes: every screen says so, a reload loses nothing', async () => {
    for (const i of [2, 1, 0]) await node(i).kill();
    await allEnter('no database');
    for (const each of everybody)
      await expect(each.alert()).toContainText('The shop’s database does not answer at the moment.', {
        timeout: 30_000,
      });
    await phone.page.reload();
    await expect(phone.alert()).toContainText('1 entry', { timeout: 30_000 });
    for (const i of [0, 1, 2]) await node(i).start();
    await allKept('database back');
  });

  await test.step('a server is killed: its people are the other one’s', async () => {
    await servers[0]?.stop('SIGKILL');
    await allEnter('a server is dead');
    await allKept('server killed');
    await startServer(0);
  });

  await test.step('the clock of a server is an hour back: entries stay in the order they came in', async () => {
    const { pid, url } = servers[1] ?? {};
    if (pid === undefined) throw new Error('no second server');
    process.kill(pid, 'SIGUSR2');
    await allEnter('an hour ago');
    await allKept('clock an hour back');
    await servers[0]?.stop('SIGKILL');
    await allEnter('an hour ago, all of them');
    await allKept('clock an hour back, alone');
    await startServer(0);
    const jumped = async () => {
      const ready = await fetch(`${url ?? ''}/readyz`);
      return readiness.parse(await ready.json()).clockJump?.bySeconds;
    };
    await expect.poll(jumped, { timeout: 90_000 }).toBeLessThan(-3500);
  });

  await test.step('nothing lost, nothing doubled, nothing under another name; the week still stands', async () => {
    let entries = 0;
    for (const each of everybody) {
      const notes = (await logOf(each.page, each.address)).flatMap(({ text, by }) =>
        text === undefined ? [] : [{ text, by }],
      );
      const order = (some: readonly { readonly text: string }[]) =>
        some.toSorted((a, b) => a.text.localeCompare(b.text));
      expect(order(notes)).toEqual(order(each.entered));
      entries += notes.length;
    }
    const week = await other.page.request.get(`${front.url}/api/week`, { timeout: 60_000 });
    expect(week.status()).toBe(200);
    figures.push(`${entries} entries: 0 lost, 0 doubled, 0 under a wrong name`);
  });
  process.stdout.write(`\n  The worst day\n${figures.map((line) => `    ${line}\n`).join('')}`);
});
