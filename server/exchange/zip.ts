import { Unzip, UnzipInflate, Zip, ZipPassThrough } from 'fflate';
import { createReadStream } from 'node:fs';
import { Refusal } from '../refusal';

/** One file in a zip. */
export interface ZipEntry {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** A zip of files as they come, one in memory at a time, unpressed: photographs are pressed already. */
export async function* zipOf(entries: AsyncIterable<ZipEntry>): AsyncGenerator<Uint8Array> {
  let ready: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    ready.push(chunk);
  });
  for await (const { name, bytes } of entries) {
    const file = new ZipPassThrough(name);
    zip.add(file);
    file.push(bytes, true);
    yield* ready;
    ready = [];
  }
  zip.end();
  yield* ready;
}

/**
 * Hands on those files of a zip on disk that are asked for, one at a time. `most` says how many bytes one may unpack to; of
 * a name that it answers nothing to, nothing is unpacked. A file that is larger, or no zip at all, is refused.
 */
export async function eachInZip(
  path: string,
  most: (name: string) => number | undefined,
  take: (entry: ZipEntry) => Promise<void> | void,
): Promise<void> {
  const whole: ZipEntry[] = [];
  const broken = (why: string) =>
    new Refusal({ code: 'request.invalid', issues: [{ path: 'file', message: why }] });
  let wrong: Error | undefined;
  let isZip = false;
  const unzip = new Unzip((file) => {
    isZip = true;
    const limit = most(file.name);
    if (limit === undefined) return;
    const parts: Uint8Array[] = [];
    let size = 0;
    file.ondata = (error, chunk, isLast) => {
      size += chunk?.length ?? 0;
      if (error) wrong ??= broken(`${file.name} cannot be unpacked`);
      else if (size > limit) wrong ??= broken(`${file.name} is larger than it may be`);
      if (wrong) return;
      parts.push(chunk);
      if (isLast) whole.push({ name: file.name, bytes: Buffer.concat(parts) });
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  const handOn = async () => {
    if (wrong) throw wrong;
    for (const entry of whole.splice(0)) await take(entry);
  };
  const push = async (chunk: Uint8Array, isLast: boolean) => {
    try {
      unzip.push(chunk, isLast);
    } catch {
      throw broken('this is no zip, or a part of one');
    }
    await handOn();
  };
  for await (const chunk of createReadStream(path)) await push(chunk as Buffer, false);
  await push(new Uint8Array(0), true);
  if (!isZip) throw broken('this is no zip');
}
