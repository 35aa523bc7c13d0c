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

const asClient = (address: string) => {
  const { hostname, port, username, password, pathname } = new URL(address);
  return {
    args: ['--no-defaults', `--host=${hostname}`, `--port=${port}`, `--user=${username}`, pathname.slice(1)],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
  };
};

/** Fills an empty database with what another one holds: quicker than to play the demo once more. */
export async function copyDatabase(from: string, into: string): Promise<void> {
  const [source, target] = [asClient(from), asClient(into)];
  const dump = spawn('mariadb-dump', source.args, { env: source.env, stdio: ['ignore', 'pipe', 'inherit'] });
  const load = spawn('mariadb', target.args, { env: target.env, stdio: ['pipe', 'ignore', 'inherit'] });
  dump.stdout.pipe(load.stdin);
  const codes = await Promise.all([once(dump, 'exit'), once(load, 'exit')]);
  if (codes.some(([code]) => code !== 0)) throw new Error('the demo could not be copied');
}
