import { createServer, type Server } from 'node:http';
import { afterEach, expect, it, vi } from 'vitest';
import { balancer, type Balancer } from '../scripts/machine/balancer.mjs';

/** More than the balancer takes to believe that a server is not ready. */
const CHECKS = 4;
const running: { close: () => Promise<void> | void }[] = [];
afterEach(async () => {
  for (const each of running.splice(0)) await each.close();
});

/** A server that lives and is ready when it is told to be. */
async function serverAt(port: number) {
  const says = { ready: false, checks: 0 };
  const server: Server = createServer(({ url }, response) => {
    const isCheck = url === '/readyz';
    if (isCheck) says.checks += 1;
    response.writeHead(isCheck && !says.ready ? 503 : 200).end(`of ${port}`);
  });
  await new Promise<void>((listening) => server.listen(port, '127.0.0.1', listening));
  running.push({
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  });
  return says;
}

it('hands people to a server that lives where none is ready, and to the ready one as soon as one is', async () => {
  const front: Balancer = await balancer({ nodes: [], servers: 2 });
  running.push({ close: front.stop });
  const ports = front.ways.map(({ server }) => server);
  const servers = await Promise.all(ports.map(serverAt));
  const page = async () => {
    const answer = await fetch(front.url);
    return [answer.status, await answer.text()];
  };
  const checked = (many: number) =>
    vi.waitFor(() => expect(servers.map(({ checks }) => checks >= many)).toEqual([true, true]), 20_000);

  await checked(CHECKS);
  for (let i = 0; i < 4; i++) expect((await page())[0]).toBe(200);
  const [, second] = servers;
  if (second) Object.assign(second, { ready: true });
  await checked(servers.reduce((most, { checks }) => Math.max(most, checks), 0) + CHECKS);
  for (let i = 0; i < 4; i++) expect(await page()).toEqual([200, `of ${ports[1]}`]);
});
