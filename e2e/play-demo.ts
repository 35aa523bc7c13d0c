import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Plays the demo into the database of this environment. */
export async function playDemo(env: NodeJS.ProcessEnv): Promise<void> {
  const prepared = spawn(process.execPath, [join(root, 'server/dist/prepare.mjs'), '--demo'], {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const [code] = await once(prepared, 'exit');
  if (code !== 0) throw new Error('the demo could not be played into the database');
}
