import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { PassThrough, Writable, type Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { SumChecked, type BackupHead } from './checked-text';
import { KeepingFault } from './fault';
import { isSealed, Unseal } from './sealing';

/** The SQL of a back-up, unsealed and unpacked, flowing into `into`; it fails where the file is not whole. */
export async function readBackup(
  file: string,
  passphrase: string | undefined,
  into: Writable,
): Promise<BackupHead> {
  const sealed = isSealed(await beginningOf(file));
  if (sealed && passphrase === undefined)
    throw new KeepingFault(`${file} is sealed: set BACKUP_PASSPHRASE to what it was sealed with`);
  const unsealed: Transform = sealed && passphrase !== undefined ? new Unseal(passphrase) : new PassThrough();
  const checked = new SumChecked();
  try {
    await pipeline(createReadStream(file), unsealed, createGunzip(), checked, into);
  } catch (error) {
    const broken = error instanceof Error && 'code' in error && String(error.code).startsWith('Z_');
    throw broken ? new KeepingFault(`${file} cannot be unpacked: it is damaged or cut off`) : error;
  }
  if (!checked.head) throw new KeepingFault(`${file} is empty`);
  return checked.head;
}

/** Whether it is whole, and of which shop and moment. */
export const checkBackup = (file: string, passphrase: string | undefined): Promise<BackupHead> =>
  readBackup(file, passphrase, new Writable({ write: (_chunk, _encoding, done) => done() }));

async function beginningOf(file: string): Promise<Buffer> {
  const handle = await open(file, 'r').catch(() => {
    throw new KeepingFault(`There is no file ${file}, or it may not be read`);
  });
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(64), 0, 64, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await handle.close();
  }
}
