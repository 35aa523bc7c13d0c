import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { main, Plain, root } from './machine/say.mjs';

/** Production form: built code, settings from the environment, no demo data. Migrate first with `node server/dist/prepare.mjs`. */
await main(async () => {
  const built = join(root, 'server/dist/main.mjs');
  if (!existsSync(built)) throw new Plain('Nothing is built yet. Run: npm ci && npm run build');
  process.env.WEB_ROOT ??= join(root, 'web/dist');
  await import(built);
});
