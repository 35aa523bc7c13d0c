import { createWriteStream } from 'node:fs';
import { mkdir, open, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { PassThrough, type Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config';
import { onlyOne } from '../database/lock';
import { MIGRATIONS, tablesBehind } from '../database/migrate';
import { BackupRow } from '../database/setup-models';
import { settingsOf } from '../database/shop-settings';
import { backupName, prune } from './backup-files';
import { WithSum } from './checked-text';
import { KeepingFault } from './fault';
import { dump } from './programs';
import { seal } from './sealing';

export interface Kept {
  readonly file: string;
  readonly bytes: number;
  readonly sha256: string;
}

type Where = Pick<Config, 'DATABASE_URL' | 'SHOP_NAME' | 'BACKUP_KEEP' | 'BACKUP_PASSPHRASE'> & {
  readonly folder: string;
};

/**
 * Backs the shop up into one file, while people work: all rows as they were at one moment, photographs among them. The file
 * has its name only once it is whole and on the disk; the oldest over `keep` go after that. How it went is kept either way.
 * Nothing where another one is being taken.
 */
export async function backUp(sequelize: Sequelize, where: Where, now: () => Date): Promise<Kept | undefined> {
  const beganAt = now();
  const none = { file: null, bytes: null, sha256: null };
  try {
    const ran = await onlyOne(sequelize, 'back-up', 0, () => write(sequelize, where, beganAt));
    if (!ran) return undefined;
    await BackupRow.create({ beganAt, endedAt: now(), ...ran.done, failed: null });
    return ran.done;
  } catch (error) {
    const failed = (error instanceof Error ? error.message : String(error)).slice(0, 300);
    // A database that is away takes no note either: what is said is why the back-up failed.
    await BackupRow.create({ beganAt, endedAt: now(), ...none, failed }).catch(() => undefined);
    throw error;
  }
}

async function write(sequelize: Sequelize, where: Where, beganAt: Date): Promise<Kept> {
  const { pending } = await tablesBehind(sequelize);
  if (pending.length > 0)
    throw new KeepingFault(`The tables are not up to date (${pending.join(', ')}): prepare them first`);
  const { folder, BACKUP_PASSPHRASE: passphrase } = where;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = backupName(beganAt, passphrase !== undefined);
  const unfinished = join(folder, `${file}.unfinished`);
  const sum = new WithSum({
    format: 1,
    shop: (await settingsOf(where)).name,
    at: beganAt.toISOString(),
    tables: MIGRATIONS.at(-1)?.name ?? '',
  });
  try {
    const sealed: Transform = passphrase === undefined ? new PassThrough() : seal(passphrase);
    const written = pipeline(
      sum,
      createGzip(),
      sealed,
      createWriteStream(unfinished, { flags: 'wx', mode: 0o600 }),
    );
    await Promise.all([dump(where.DATABASE_URL, sum), written]);
    await onTheDisk(unfinished);
    await rename(unfinished, join(folder, file));
    await onTheDisk(folder);
  } catch (error) {
    await rm(unfinished, { force: true });
    const full = error instanceof Error && 'code' in error && error.code === 'ENOSPC';
    throw full ? new KeepingFault(`There is no room left in ${folder}`) : error;
  }
  await prune(folder, where.BACKUP_KEEP);
  return { file, bytes: (await stat(join(folder, file))).size, sha256: sum.sum };
}

async function onTheDisk(path: string): Promise<void> {
  const handle = await open(path, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}
