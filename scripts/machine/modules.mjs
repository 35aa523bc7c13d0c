import { createHash } from 'node:crypto';
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Plain, root, step } from './say.mjs';
import { run } from './run.mjs';

const MARK = join(root, 'node_modules/.dusk-wren-lock');
const LEAST_FREE = 1.5e9;

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');

/** Whether `npm ci` has been run for this very lock file. */
export function modulesAreThere() {
  if (!existsSync(join(root, 'node_modules/vite'))) return false;
  return !existsSync(MARK) || readFileSync(MARK, 'utf8') === lockHash();
}

/** `npm ci`, when the lock file has changed since the last time. */
export async function nodeModules({ quiet = true } = {}) {
  if (modulesAreThere()) return;
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) throw new Plain(`Node 20 or later is needed; this is ${process.version}.`);
  const { bavail, bsize } = statfsSync(root);
  if (bavail * bsize < LEAST_FREE)
    throw new Plain(
      `Only ${Math.round((bavail * bsize) / 1e6)} MB are free here; 1500 MB are needed. Make room and start again.`,
    );
  await step('Fetching npm packages (npm ci)', () =>
    run('npm', ['ci', '--no-audit', '--no-fund'], { quiet, failure: 'npm ci failed' }),
  );
  writeFileSync(MARK, lockHash());
}
