import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { Transform, type TransformCallback } from 'node:stream';
import { KeepingFault } from './fault';

/** A sealed file begins so; then 16 bytes of salt, 12 of nonce, what is sealed, and 16 of tag (AES-256-GCM, NIST SP 800-38D). */
const BEGINS = Buffer.from('dusk-wren sealed 1\n');
const [SALT, NONCE, TAG] = [16, 12, 16];
const HEAD = BEGINS.length + SALT + NONCE;

/** The key of a passphrase: scrypt (RFC 7914), N 2^15, r 8, p 1. */
const keyOf = (passphrase: string, salt: Buffer): Buffer =>
  scryptSync(passphrase.normalize('NFC'), salt, 32, { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 2 ** 20 });

/** Seals what flows through with a passphrase. */
export function seal(passphrase: string): Transform {
  const [salt, nonce] = [randomBytes(SALT), randomBytes(NONCE)];
  const cipher = createCipheriv('aes-256-gcm', keyOf(passphrase, salt), nonce);
  let begun = false;
  const head = (through: Transform) => {
    if (!begun) through.push(Buffer.concat([BEGINS, salt, nonce]));
    begun = true;
  };
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      head(this);
      done(null, cipher.update(chunk));
    },
    flush(done) {
      head(this);
      this.push(cipher.final());
      this.push(cipher.getAuthTag());
      done();
    },
  });
}

/** Whether a file that begins with these bytes is sealed. */
export const isSealed = (beginning: Buffer): boolean => beginning.subarray(0, BEGINS.length).equals(BEGINS);

/** Opens what was sealed. What flows out of it is sound only once it has ended without an error. */
export class Unseal extends Transform {
  private held = Buffer.alloc(0);
  private decipher: ReturnType<typeof createDecipheriv> | undefined;

  constructor(private readonly passphrase: string) {
    super();
  }

  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: TransformCallback): void {
    this.held = Buffer.concat([this.held, chunk]);
    if (!this.decipher && this.held.length >= HEAD) {
      const salt = this.held.subarray(BEGINS.length, BEGINS.length + SALT);
      const nonce = this.held.subarray(BEGINS.length + SALT, HEAD);
      this.decipher = createDecipheriv('aes-256-gcm', keyOf(this.passphrase, salt), nonce);
      this.held = this.held.subarray(HEAD);
    }
    // The last bytes are the tag, and nobody knows yet which are the last.
    const sure = this.held.length - TAG;
    if (this.decipher && sure > 0) {
      this.push(this.decipher.update(this.held.subarray(0, sure)));
      this.held = Buffer.from(this.held.subarray(sure));
    }
    done();
  }

  override _flush(done: TransformCallback): void {
    const sealed = new KeepingFault(
      'It does not open: the passphrase is another one, or the file was changed or cut off',
    );
    const { decipher } = this;
    if (!decipher || !('setAuthTag' in decipher)) return done(sealed);
    try {
      (decipher as ReturnType<typeof createDecipheriv> & { setAuthTag(tag: Buffer): void }).setAuthTag(
        this.held,
      );
      this.push(decipher.final());
      done();
    } catch {
      done(sealed);
    }
  }
}
