import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { builtServer } from '../machine/built-server.mjs';
import { dataHome, privateDatabase } from '../machine/database.mjs';
import { run } from '../machine/run.mjs';
import { root } from '../machine/say.mjs';
import { peopleLoad } from './people-load.mjs';

const DATABASE = 'dusk_wren_bench';

/** One server and one database, as most shops have them, and people at work. */
export async function shopLoad(report, minutes) {
  for (const name of ['mariadb', 'secrets.json'])
    rmSync(join(dataHome('bench'), name), { recursive: true, force: true });
  const db = await privateDatabase({ name: 'bench', databases: [DATABASE] });
  const database = db.url(DATABASE);
  try {
    const env = {
      ...process.env,
      DATABASE_URL: database,
      SESSION_SECRET: db.secrets.session,
      LOG_LEVEL: 'error',
      MALLOC_ARENA_MAX: '2',
    };
    await run('node', [join(root, 'server/dist/prepare.mjs'), '--demo'], { env, quiet: true });
    const server = await builtServer(env);
    try {
      const load = await peopleLoad(report, { url: server.url, servers: [server], database, minutes });
      await load.stop();
    } finally {
      await server.stop();
    }
  } finally {
    await db.stop();
  }
}
