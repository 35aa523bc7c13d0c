import { existsSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { dataHome, privateDatabase } from './machine/database.mjs';
import { main, Plain, root, step } from './machine/say.mjs';
import { run } from './machine/run.mjs';

const BUILT = join(root, 'server/dist/keep.mjs');

/** Back-up, restore and verify: `npm run backup`, `npm run restore FILE`, `npm run verify FILE`. */
const [what, ...names] = process.argv.slice(2);
const keep = (env, ...args) => run(process.execPath, [BUILT, ...args], { env });

await main(async () => {
  if (!existsSync(BUILT)) throw new Plain('Nothing is built yet. Run: npm ci && npm run build');
  const [file] = names.map((name) => resolve(process.env.INIT_CWD ?? '.', name));
  if (what === 'verify' && file !== undefined) await verified(file);
  else await keep({}, ...(what === 'verify' ? ['check'] : file === undefined ? [what] : [what, file]));
});

/** Restored into a database of its own, which is thrown away after. */
async function verified(file) {
  const home = join(dataHome('verify'), 'mariadb');
  rmSync(home, { recursive: true, force: true });
  const database = await step('Starting a private database', () =>
    privateDatabase({ name: 'verify', databases: ['verified'] }),
  );
  try {
    const env = {
      DATABASE_URL: database.url('verified'),
      SESSION_SECRET: database.secrets.session,
    };
    await keep(env, 'restore', file);
    await step('Reading every log', () => keep(env, 'check'));
  } finally {
    await database.stop();
    rmSync(home, { recursive: true, force: true });
  }
}
