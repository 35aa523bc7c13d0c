import { clusterLoad } from './speed/cluster-load.mjs';
import { firstLoad } from './speed/first-load.mjs';
import { serverLoad } from './speed/server-load.mjs';
import { build } from './build.mjs';
import { debianPackages } from './machine/debian.mjs';
import { nodeModules } from './machine/modules.mjs';
import { run } from './machine/run.mjs';
import { main, Plain, step } from './machine/say.mjs';

const BENCHES = [
  'speed/replan.ts',
  'speed/signature.ts',
  'speed/plant.ts',
  'speed/bluing.ts',
  'speed/fault-finder.ts',
  'speed/schedule.ts',
  'speed/drills.ts',
];

/** How long the cluster is under load, unless told otherwise after its name. */
const CLUSTER_MINUTES = 1;

/**
 * Every limit the product promises, measured on this machine. Exit code 1 when one is missed. With `cluster` the load on
 * several servers and nodes instead, for so many minutes: `npm run bench -- cluster 10`.
 */
await main(async () => {
  const [which, minutes] = process.argv.slice(2);
  const ofCluster = which === 'cluster';
  await debianPackages('mariadb-server', ...(ofCluster ? ['rsync', 'haproxy'] : []));
  await nodeModules();
  await build();
  const missed = [];
  const report = (what, measured, limit, unit) => {
    const kept = measured <= limit;
    if (!kept) missed.push(what);
    process.stdout.write(
      `  ${kept ? 'within' : 'MISSED'}  ${what}: ${measured.toFixed(1)} ${unit} (limit ${limit.toFixed(1)} ${unit})\n`,
    );
  };
  if (ofCluster) {
    await step('Servers and nodes under load', () => clusterLoad(report, Number(minutes ?? CLUSTER_MINUTES)));
  } else {
    await step('First load of the pages', () => firstLoad(report));
    await step('Server with the demo', () => serverLoad(report));
  }
  for (const file of ofCluster ? [] : BENCHES)
    await step(file, () =>
      run('node', ['--import', 'tsx', file], { env: { TSX_TSCONFIG_PATH: 'tsconfig.base.json' } }).catch(() =>
        missed.push(file),
      ),
    );
  if (missed.length > 0) throw new Plain(`Over their limit: ${missed.join('; ')}`);
});
