import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './machine/say.mjs';
import { modulesAreThere } from './machine/modules.mjs';

/** The command line: `npm run -s dw -- help`. */
if (!modulesAreThere()) {
  process.stderr.write('Fetching npm packages first (npm ci)\n');
  const fetched = spawnSync('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root, stdio: ['ignore', 2, 2] });
  if (fetched.status !== 0) process.exit(1);
}
const done = spawnSync(
  process.execPath,
  ['--import', 'tsx', join(root, 'cli/main.ts'), ...process.argv.slice(2)],
  {
    cwd: process.cwd(),
    stdio: 'inherit',
    env: { ...process.env, TSX_TSCONFIG_PATH: join(root, 'cli/tsconfig.json') },
  },
);
process.exit(done.status ?? 1);
