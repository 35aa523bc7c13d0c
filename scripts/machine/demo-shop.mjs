import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './say.mjs';

/** The settings of a server with the demo on it, beside those of its database. */
export function demoShop({ port, secrets, home }) {
  const drops = join(home, 'rigs');
  mkdirSync(drops, { recursive: true });
  return {
    SESSION_SECRET: secrets.session,
    HOST: '127.0.0.1',
    PUBLIC_URL: process.env.PUBLIC_URL ?? `http://127.0.0.1:${port}`,
    WEB_ROOT: join(root, 'web/dist'),
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    SHOP_NAME: 'Pinder Street valve shop',
    BACKUP_DIR: join(home, 'backups'),
    DROP_FOLDER: drops,
    // Pictures leave their memory behind in as many places as there are arenas.
    MALLOC_ARENA_MAX: '2',
  };
}

export const WHO_IS_THERE =
  'Sign in as Ines Okoro (technician), Noor Castellane (inspector) or Petra Lundholm (lead); the PIN of everybody here is 2468.';
