/**
 * What this device keeps is sealed (AES-256-GCM, NIST SP 800-38D) with the key of whoever it belongs to: their sign-in
 * brings it, and the browser gives it out to nobody.
 */
export interface Sealed {
  readonly nonce: Uint8Array<ArrayBuffer>;
  readonly sealed: ArrayBuffer;
}

const NONCE_BYTES = 12;
const utf8 = new TextEncoder();

/** A key out of 32 bytes in base64, for this device's own use: it can be used here and not be read. */
export function keyFrom(base64: string): Promise<CryptoKey> {
  const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
  return crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt']);
}

/** Seals bytes as what they are `about`: put in another place they are not read. */
export async function seal(key: CryptoKey, about: string, bytes: ArrayBuffer): Promise<Sealed> {
  const nonce = crypto.getRandomValues(new Uint8Array(NONCE_BYTES));
  return { nonce, sealed: await crypto.subtle.encrypt(as(nonce, about), key, bytes) };
}

/** The bytes; nothing where they are of another key or place, or were changed. */
export async function unseal(
  key: CryptoKey,
  about: string,
  { nonce, sealed }: Sealed,
): Promise<ArrayBuffer | undefined> {
  return crypto.subtle.decrypt(as(nonce, about), key, sealed).catch(() => undefined);
}

const as = (iv: Uint8Array<ArrayBuffer>, about: string) => ({
  name: 'AES-GCM',
  iv,
  additionalData: utf8.encode(about),
});

export const sealJson = (key: CryptoKey, about: string, value: unknown): Promise<Sealed> =>
  seal(key, about, utf8.encode(JSON.stringify(value)).buffer);

/** What was sealed as JSON, still to be parsed; nothing where it cannot be read. */
export async function unsealJson(key: CryptoKey, about: string, sealed: Sealed): Promise<unknown> {
  const bytes = await unseal(key, about, sealed);
  return bytes && JSON.parse(new TextDecoder().decode(bytes));
}
