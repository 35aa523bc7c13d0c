import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const BUILT = fileURLToPath(new URL('../../server/dist/main.mjs', import.meta.url));

/** The built server as a process, on a free port unless told which, once it is ready; it ends with this process however that ends. */
export async function builtServer(env, port = 0) {
  if (!existsSync(BUILT)) throw new Error('the server is not built: run `npm run build`');
  const child = spawn('setpriv', ['--pdeathsig=TERM', process.execPath, BUILT], {
    env: { ...env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let output = '';
  const url = await new Promise((ready, failed) => {
    child.stdout.on('data', (chunk) => {
      output += chunk;
      const line = /\{"ready":"(.+?)"\}/.exec(chunk.toString());
      if (line) ready(line[1]);
    });
    child.once('exit', (status) => failed(new Error(`the server ended with ${status}`)));
  });
  return {
    url,
    pid: child.pid,
    ended: once(child, 'exit'),
    said: (what) => what.exec(output)?.[1] ?? '',
    stop: async (signal = 'SIGTERM') => {
      if (child.exitCode !== null || child.signalCode !== null) return;
      child.kill(signal);
      await once(child, 'exit');
    },
  };
}
