import { join } from 'node:path';
import { balancer } from '../machine/balancer.mjs';
import { builtServer } from '../machine/built-server.mjs';
import { privateCluster } from '../machine/cluster.mjs';
import { run } from '../machine/run.mjs';
import { root } from '../machine/say.mjs';
import { peopleLoad } from './people-load.mjs';

const DATABASE = 'dusk_wren_bench';
const SERVERS = 2;
const BACK_LIMIT_MS = 15_000;

/** Three nodes, two servers and a balancer on this one machine, and people at work; then a node and a server are killed. */
export async function clusterLoad(report, minutes) {
  const cluster = await privateCluster({ name: 'bench-cluster', databases: [DATABASE] });
  const [first] = cluster.nodes;
  const front = await balancer({ nodes: cluster.nodes, servers: SERVERS });
  const database = first.url(DATABASE);
  const env = {
    ...process.env,
    SESSION_SECRET: cluster.secrets.session,
    LOG_LEVEL: 'error',
    TRUST_PROXY: '1',
    DATABASE_SILENCE: '5',
    MALLOC_ARENA_MAX: '2',
  };
  let servers = [];
  try {
    await run('node', [join(root, 'server/dist/prepare.mjs'), '--demo'], {
      env: { ...env, DATABASE_URL: database },
      quiet: true,
    });
    servers = await Promise.all(
      front.ways.map((way) =>
        builtServer(
          { ...env, DATABASE_URL: database.replace(`:${first.port}/`, `:${way.node}/`) },
          way.server,
        ),
      ),
    );
    while (!(await fetch(`${front.url}/readyz`)).ok) await new Promise((done) => setTimeout(done, 200));
    const load = await peopleLoad(report, { url: front.url, servers, database, minutes });
    await cluster.nodes[1].kill();
    report('Everybody works on after a node was killed', await load.goesOn(), BACK_LIMIT_MS, 'ms');
    await cluster.nodes[1].start();
    await servers[0].stop('SIGKILL');
    report('Everybody works on after a server was killed', await load.goesOn(), BACK_LIMIT_MS, 'ms');
    await load.stop();
  } finally {
    await Promise.all(servers.map((server) => server.stop()));
    await front.stop();
    await cluster.stop();
  }
}
