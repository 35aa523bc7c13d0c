import { hash, verify } from '@node-rs/argon2';

/** argon2id at the library's defaults (19 MiB, 2 passes), OWASP's floor. */
export const hashPin = (pin: string): Promise<string> => hash(pin);

/** A hash of nothing anybody has, so that an unknown person takes as long to refuse as a wrong PIN. */
const NOBODY = hash('nobody has this pin');

export async function checkPin(pinHash: string | undefined, pin: string): Promise<boolean> {
  const right = await verify(pinHash ?? (await NOBODY), pin);
  return right && pinHash !== undefined;
}
