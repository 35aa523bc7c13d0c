import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';

/** What a finished back-up is called: dated, in order, and sealed where a passphrase is set. */
const FINISHED = /^shop-\d{4}-\d{2}-\d{2}-\d{6}\.sql\.gz(\.sealed)?$/;
const UNFINISHED = /^shop-.*\.unfinished$/;

/** Its name, by the moment it was begun (UTC). */
export const backupName = (at: Date, isSealed: boolean): string =>
  `shop-${at.toISOString().slice(0, 19).replace('T', '-').replaceAll(':', '')}.sql.gz${isSealed ? '.sealed' : ''}`;

/** Those in a folder, oldest first. */
export async function backupsIn(folder: string): Promise<string[]> {
  return (await readdir(folder)).filter((name) => FINISHED.test(name)).sort();
}

/** Removes the oldest but the newest `keep`, and what a cut-off one left; nothing else of the folder is touched. */
export async function prune(folder: string, keep: number): Promise<string[]> {
  const over = (await backupsIn(folder)).slice(0, -keep);
  const left = (await readdir(folder)).filter((name) => UNFINISHED.test(name));
  for (const name of [...over, ...left]) await rm(join(folder, name), { force: true });
  return over;
}
