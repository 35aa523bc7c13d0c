import { createHash } from 'node:crypto';
import { Transform, type TransformCallback } from 'node:stream';
import { z } from 'zod';
import { KeepingFault } from './fault';

/**
 * A back-up is SQL that any MariaDB reads. Its first line says, as a comment, what it is of; its last, as a comment too,
 * the SHA-256 of everything before it: what was cut off has no such line.
 */
const FIRST = '-- Dusk Wren back-up ';
const LAST = '-- sha256 ';
const LAST_LENGTH = LAST.length + 64 + 1;

export const backupHead = z.object({
  format: z.literal(1),
  shop: z.string(),
  at: z.iso.datetime(),
  /** The last migration that its tables had. */
  tables: z.string(),
});
export type BackupHead = z.output<typeof backupHead>;

/** Writes the first and the last line around what flows through. */
export class WithSum extends Transform {
  private readonly hash = createHash('sha256');
  /** Of all but the last line; once it has ended. */
  sum = '';

  constructor(head: BackupHead) {
    super();
    this.give(Buffer.from(`${FIRST}${JSON.stringify(head)}\n`));
  }

  private give(chunk: Buffer): void {
    this.hash.update(chunk);
    this.push(chunk);
  }

  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: TransformCallback): void {
    this.give(chunk);
    done();
  }

  override _flush(done: TransformCallback): void {
    this.sum = this.hash.digest('hex');
    done(null, `${LAST}${this.sum}\n`);
  }
}

/** Lets a back-up's text through, and fails at its end where the sum is missing or another. */
export class SumChecked extends Transform {
  private readonly hash = createHash('sha256');
  private held = Buffer.alloc(0);
  private first: Buffer | undefined = Buffer.alloc(0);
  head: BackupHead | undefined;

  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: TransformCallback): void {
    if (!this.readFirst(chunk)) return done(new KeepingFault('It is no back-up of a shop'));
    this.held = Buffer.concat([this.held, chunk]);
    const sure = this.held.length - LAST_LENGTH;
    if (sure > 0) {
      const out = this.held.subarray(0, sure);
      this.hash.update(out);
      this.push(out);
      this.held = Buffer.from(this.held.subarray(sure));
    }
    done();
  }

  /** Whether what came so far can be one. */
  private readFirst(chunk: Buffer): boolean {
    if (!this.first) return true;
    this.first = Buffer.concat([this.first, chunk]);
    const end = this.first.indexOf('\n');
    if (end < 0) return this.first.length < 4096;
    const line = this.first.subarray(0, end).toString();
    this.first = undefined;
    if (!line.startsWith(FIRST)) return false;
    const read = backupHead.safeParse(parsed(line.slice(FIRST.length)));
    this.head = read.data;
    return read.success;
  }

  override _flush(done: TransformCallback): void {
    const said = this.held.toString();
    if (!said.startsWith(LAST)) return done(new KeepingFault('It ends before its end: it was cut off'));
    if (said !== `${LAST}${this.hash.digest('hex')}\n`)
      return done(new KeepingFault('Its sum is another one: it was changed or damaged'));
    done(null, this.held);
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
