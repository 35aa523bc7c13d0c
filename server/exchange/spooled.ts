import type { Request } from 'express';
import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Refusal } from '../refusal';

/** A file that was sent, on disk for as long as it is worked on. */
export interface Spooled {
  readonly path: string;
  /** SHA-256 of it as it came. */
  readonly sha256: string;
}

/** Takes what is sent onto disk, whatever its size up to `most` bytes; it is gone again when the work on it is over. */
export async function spooled<T>(
  request: Request,
  most: number,
  work: (file: Spooled) => Promise<T>,
): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'dusk-wren-sent-'));
  try {
    const path = join(folder, 'sent');
    const hash = createHash('sha256');
    let size = 0;
    const counted = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        size += chunk.length;
        hash.update(chunk);
        const tooLarge = new Refusal({ code: 'request.too-large', limit: `${Math.round(most / 1e6)} MB` });
        done(size > most ? tooLarge : null, chunk);
      },
    });
    await pipeline(request, counted, createWriteStream(path, { mode: 0o600 }));
    return await work({ path, sha256: hash.digest('hex') });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
