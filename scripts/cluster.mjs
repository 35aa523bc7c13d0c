import { join } from 'node:path';
import { build } from './build.mjs';
import { balancer } from './machine/balancer.mjs';
import { builtServer } from './machine/built-server.mjs';
import { privateCluster } from './machine/cluster.mjs';
import { dataHome } from './machine/database.mjs';
import { debianPackages } from './machine/debian.mjs';
import { demoShop, WHO_IS_THERE } from './machine/demo-shop.mjs';
import { nodeModules } from './machine/modules.mjs';
import { publicPort } from './machine/ports.mjs';
import { run } from './machine/run.mjs';
import { main, note, root, step } from './machine/say.mjs';
import { stoppingAtTheEnd } from './machine/stopping.mjs';

const DATABASE = 'dusk_wren_cluster';
const SERVERS = 2;
/** Long enough to see that people work on without it. */
const SECONDS_DOWN = 15;

/** The demo on three database nodes and two servers behind a balancer, each of which may be killed: new data every time. */
await main(async () => {
  const port = await publicPort('npm run cluster');
  await stoppingAtTheEnd(async (stops) => {
    await debianPackages('mariadb-server', 'rsync', 'haproxy');
    await nodeModules();
    await build();
    const cluster = await step('Starting three nodes on loopback', () =>
      privateCluster({ name: 'cluster', databases: [DATABASE] }),
    );
    stops.add(cluster.stop);
    const front = await step('Starting the balancer', () =>
      balancer({ nodes: cluster.nodes, servers: SERVERS, port }),
    );
    stops.add(front.stop);
    const [first] = cluster.nodes;
    const env = {
      ...process.env,
      ...demoShop({ port, secrets: cluster.secrets, home: dataHome('cluster') }),
      TRUST_PROXY: '1',
      DATABASE_SILENCE: '5',
    };
    await step('Making tables and playing the demo jobs', () =>
      run('node', [join(root, 'server/dist/prepare.mjs'), '--demo'], {
        env: { ...env, DATABASE_URL: first.url(DATABASE) },
        failure: 'The database could not be prepared',
      }),
    );
    const startServer = (i) => {
      const way = front.ways[i];
      return builtServer(
        { ...env, DATABASE_URL: first.url(DATABASE).replace(`:${first.port}/`, `:${way.node}/`) },
        way.server,
      );
    };
    const servers = await step('Starting two servers', () =>
      Promise.all(front.ways.map((_, i) => startServer(i))),
    );
    stops.add(() => Promise.all(servers.map((server) => server.stop())));
    process.stdout.write(
      `\nDusk Wren is at ${front.url}\n\n  ${WHO_IS_THERE}\n  Kill any of these; it is started again ${SECONDS_DOWN} s later:\n${cluster.nodes
        .map((node) => `    ${node.name}: kill -9 ${node.pid()}\n`)
        .join('')}${servers
        .map((server, i) => `    server-${i + 1}: kill -9 ${server.pid}\n`)
        .join('')}  Ctrl-C stops it all; its data is not kept.\n\n`,
    );
    await Promise.race([
      ...cluster.nodes.map((node) => kept(node.name, stops, node.ended, node.start, node.pid)),
      ...front.ways.map((_, i) =>
        kept(
          `server-${i + 1}`,
          stops,
          () => servers[i].ended,
          async () => (servers[i] = await startServer(i)),
          () => servers[i].pid,
        ),
      ),
      front.ended,
    ]);
  });
});

/** Starts something again each time that it has ended, until all is stopped. */
async function kept(name, stops, ended, start, pid) {
  for (;;) {
    await ended();
    if (stops.hasBegun()) return;
    note(`${name} has ended`);
    await new Promise((done) => setTimeout(done, SECONDS_DOWN * 1000));
    if (stops.hasBegun()) return;
    await start();
    note(`${name} is back, as process ${pid()}`);
  }
}
