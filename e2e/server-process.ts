import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** A server that a journey talks to. */
export interface ServerProcess {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/** Plays the demo into the database of this environment. */
export async function playDemo(env: NodeJS.ProcessEnv): Promise<void> {
  const prepared = spawn(process.execPath, [join(root, 'server/dist/prepare.mjs'), '--demo'], {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const [code] = await once(prepared, 'exit');
  if (code !== 0) throw new Error('the demo could not be played into the database');
}

/** A server on a free port, which ends with this process however that ends. */
export async function startServer(env: NodeJS.ProcessEnv): Promise<ServerProcess> {
  const child = spawn('setpriv', ['--pdeathsig=TERM', process.execPath, join(root, 'server/dist/main.mjs')], {
    env: { ...env, PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((ready, failed) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const line = /\{"ready":"(.+?)"\}/.exec(chunk.toString());
      if (line) ready(line[1] ?? '');
    });
    child.once('exit', (status) => failed(new Error(`the server ended with ${status}`)));
  });
  return {
    url,
    stop: async () => {
      if (child.exitCode !== null || child.signalCode !== null) return;
      child.kill('SIGTERM');
      await once(child, 'exit');
    },
  };
}
