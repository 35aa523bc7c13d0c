import { PassThrough } from 'node:stream';
import { connect } from '../database/connection';
import { beginRestore, endRestore, isHalfRestored, tablesOf } from '../database/half-restored';
import { migrate, MIGRATIONS } from '../database/migrate';
import type { BackupHead } from './checked-text';
import { KeepingFault } from './fault';
import { load } from './programs';
import { checkBackup, readBackup } from './read-backup';

interface Restoring {
  readonly file: string;
  readonly url: string;
  readonly passphrase: string | undefined;
  readonly say: (line: string) => void;
}

/**
 * Loads a back-up into an empty database and brings its tables up to date. The file is read through before anything is
 * written; where loading is cut off the database says so, is served by no server, and is emptied by the next try.
 */
export async function restore({ file, url, passphrase, say }: Restoring): Promise<BackupHead> {
  say(`Reading ${file} through`);
  const head = await checkBackup(file, passphrase);
  if (MIGRATIONS.every(({ name }) => name < head.tables))
    throw new KeepingFault(`It is of a newer Dusk Wren (${head.tables}): restore it with that one`);
  const sequelize = connect(url);
  try {
    const tables = await tablesOf(sequelize);
    if (tables.length > 0 && !(await isHalfRestored(sequelize)))
      throw new KeepingFault('This database is not empty: make a new one to restore into');
    await beginRestore(sequelize);
    say(`Loading the shop “${head.shop}” as it was on ${head.at}`);
    const sql = new PassThrough();
    await Promise.all([readBackup(file, passphrase, sql), load(url, sql)]);
    await endRestore(sequelize);
    await migrate(sequelize, (line) => say(`  ${line}`));
    return head;
  } finally {
    await sequelize.close();
  }
}
