import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import type { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { KeepingFault } from './fault';

/** Tables whose rows are worth nothing tomorrow: everybody signs in anew after a restore, and no server is at anything. */
const PASSING = ['sessions', 'rate_limits', 'leases'];

interface Reached {
  readonly args: readonly string[];
  readonly env: NodeJS.ProcessEnv;
  readonly database: string;
}

/** How MariaDB's own programs reach a database; its password is on no command line. */
function reached(url: string): Reached {
  const { hostname, port, username, password, pathname } = new URL(url);
  return {
    args: [
      '--no-defaults',
      '--protocol=tcp',
      `--host=${hostname}`,
      `--port=${port || '3306'}`,
      `--user=${decodeURIComponent(username)}`,
    ],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
    database: decodeURIComponent(pathname.slice(1)),
  };
}

/** All of a database as SQL, as it was at one moment, while people go on working. */
export async function dump(url: string, into: Writable): Promise<void> {
  const { args, env, database } = reached(url);
  const child = spawn(
    'mariadb-dump',
    [
      ...args,
      '--single-transaction',
      '--quick',
      '--hex-blob',
      '--skip-add-drop-table',
      '--skip-add-locks',
      '--skip-triggers',
      '--no-tablespaces',
      '--default-character-set=utf8mb4',
      ...PASSING.map((table) => `--ignore-table-data=${database}.${table}`),
      database,
    ],
    { env, stdio: ['ignore', 'pipe', 'pipe'] },
  );
  const ended = endOf(child, 'mariadb-dump');
  await Promise.all([pipeline(child.stdout, into), ended]);
}

/** Runs SQL into a database. */
export async function load(url: string, from: Readable): Promise<void> {
  const { args, env, database } = reached(url);
  const child = spawn(
    'mariadb',
    [...args, '--binary-mode', '--default-character-set=utf8mb4', '--max-allowed-packet=1G', database],
    { env, stdio: ['pipe', 'ignore', 'pipe'] },
  );
  const ended = endOf(child, 'mariadb');
  const fed = pipeline(from, child.stdin);
  // A client that gives up closes its input: why it did is what is said.
  await Promise.all([ended, fed.catch((error: unknown) => ended.then(() => Promise.reject(error as Error)))]);
}

const LAST_WORDS = 400;

async function endOf(child: ChildProcess, program: string): Promise<void> {
  let said = '';
  child.stderr?.on('data', (chunk: Buffer) => {
    said = (said + chunk.toString()).slice(-LAST_WORDS);
  });
  const [status] = (await once(child, 'close').catch((error: unknown) => {
    const missing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
    throw new KeepingFault(
      missing
        ? `${program} is not on this machine; the Debian package mariadb-client has it`
        : `${program} could not be started: ${String(error)}`,
    );
  })) as [number | null];
  if (status !== 0) throw new KeepingFault(`${program} ended with ${status ?? 'a signal'}: ${said.trim()}`);
}
