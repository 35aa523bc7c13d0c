import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from './ports.mjs';
import { start } from './run.mjs';
import { Plain } from './say.mjs';

/**
 * A balancer on loopback. People reach whichever server is ready, or one that can say what is wrong where none is; every server reaches the node of its own, and another one
 * while that is down. It stands before the servers do, and answers with where each of them must be.
 */
export async function balancer({ nodes, servers, port: wanted }) {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-wren-balancer-'));
  const ways = [];
  for (let i = 0; i < servers; i++) ways.push({ node: await freePort(), server: await freePort() });
  const port = wanted ?? (await freePort());
  const file = join(folder, 'haproxy.cfg');
  writeFileSync(file, configuration({ port, ways, nodes }));
  const log = [];
  const running = start('setpriv', ['--pdeathsig=TERM', '/usr/sbin/haproxy', '-db', '-f', file], {
    onLine: (line) => log.push(line),
  });
  const over = running.ended.then(() => {
    throw new Plain(`The balancer did not come up:\n${log.slice(-8).join('\n')}`);
  });
  await Promise.race([answers(port), over]);
  over.catch(() => undefined);
  return {
    url: `http://127.0.0.1:${port}`,
    /** For each server: where it listens, and where it finds its database. */
    ways,
    ended: running.ended,
    stop: async () => {
      await running.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

async function answers(port) {
  while (!(await fetch(`http://127.0.0.1:${port}/healthz`).catch(() => undefined)))
    await new Promise((done) => setTimeout(done, 50));
}

/** Only what has not reached a server is sent to another one: whether a command arrived is its page's to ask. */
const configuration = ({ port, ways, nodes }) => `
defaults
  timeout connect 2s
  timeout client 1h
  timeout server 1h
  option redispatch 1
  retries 3
  default-server inter 500 fall 2 rise 1 on-marked-down shutdown-sessions

frontend people
  mode http
  bind 127.0.0.1:${port}
  option forwardfor
  use_backend ready if { nbsrv(ready) gt 0 }
  default_backend alive
${serversThat('ready', '/readyz', ways)}
${serversThat('alive', '/healthz', ways)}
${ways.map((way, i) => databaseWay(way, i, nodes)).join('\n')}
`;

const serversThat = (are, say, ways) => `
backend ${are}
  mode http
  balance leastconn
  option httpchk GET ${say}
  timeout check 2s
${ways.map(({ server }, i) => `  server server-${i + 1} 127.0.0.1:${server} check`).join('\n')}
`;

const databaseWay = ({ node }, i, nodes) => `
listen database-${i + 1}
  mode tcp
  bind 127.0.0.1:${node}
  option mysql-check
  timeout check 2s
${nodes
  .map(
    ({ name, port }, n) =>
      `  server ${name} 127.0.0.1:${port} check${n === i % nodes.length ? '' : ' backup'}`,
  )
  .join('\n')}
`;
