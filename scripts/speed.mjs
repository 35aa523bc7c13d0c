import { clusterLoad } from './speed/cluster-load.mjs';
import { firstLoad } from './speed/first-load.mjs';
import { scale } from './speed/scale.mjs';
import { shopLoad } from './speed/shop-load.mjs';
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

/** How long people work, unless told otherwise after the name. */
const MINUTES = 1;

/**
 * Every limit the product promises, measured on this machine. Exit code 1 when one is missed. With `scale`
 * the lists of a shop of decades beside those of a young one (a quarter of an hour, 10 GB of disk) instead; with `people` or
 * `cluster` 200 people at work for so many minutes, on one server or on several with three nodes.
 */
await main(async () => {
  const [which, minutes] = process.argv.slice(2);
  const loads = { people: shopLoad, cluster: clusterLoad, scale };
  const wanted = { cluster: ['rsync', 'haproxy'], scale: ['chromium-headless-shell'] };
  await debianPackages('mariadb-server', ...(wanted[which] ?? []));
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
  if (which !== undefined) {
    const load = loads[which];
    if (!load) throw new Plain(`There is no bench of that name: ${Object.keys(loads).join(', ')}.`);
    await step(`The bench of ${which}`, () => load(report, Number(minutes ?? MINUTES)));
  } else {
    await step('First load of the pages', () => firstLoad(report));
    await step('Server with the demo', () => serverLoad(report));
  }
  for (const file of which === undefined ? BENCHES : [])
    await step(file, () =>
      run('node', ['--import', 'tsx', file], { env: { TSX_TSCONFIG_PATH: 'tsconfig.base.json' } }).catch(() =>
        missed.push(file),
      ),
    );
  if (missed.length > 0) throw new Plain(`Over their limit: ${missed.join('; ')}`);
});
