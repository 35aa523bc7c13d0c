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

/** Every limit the product promises, measured on this machine. Exit code 1 when one is missed. */
await main(async () => {
  await debianPackages('mariadb-server');
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
  await step('First load of the pages', () => firstLoad(report));
  await step('Server with the demo', () => serverLoad(report));
  for (const file of BENCHES)
    await step(file, () =>
      run('node', ['--import', 'tsx', file], { env: { TSX_TSCONFIG_PATH: 'tsconfig.base.json' } }).catch(() =>
        missed.push(file),
      ),
    );
  if (missed.length > 0) throw new Plain(`Over their limit: ${missed.join('; ')}`);
});
