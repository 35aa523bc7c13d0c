import type { Role } from '@dusk-wren/core/job';
import { hash, verify } from '@node-rs/argon2';
import { Refusal } from '../refusal';

/** Who releases holds and signs certificates has more to lose by a guessed PIN. */
const LEAST_DIGITS: Readonly<Record<Role, number>> = { technician: 4, inspector: 6, lead: 6 };

/** The least that a PIN of this role has. */
export const leastDigits = (role: Role): number => LEAST_DIGITS[role];

/** argon2id at the library's defaults (19 MiB, 2 passes), OWASP's floor. */
export const hashPin = (pin: string): Promise<string> => hash(pin);

/** A new PIN, hashed; refused when it is too short for the role. */
export function hashNewPin(pin: string, role: Role): Promise<string> {
  const least = leastDigits(role);
  if (pin.length < least) throw new Refusal({ code: 'pin.too-short', role, least });
  return hashPin(pin);
}

/** A hash of nothing anybody has, so that an unknown person takes as long to refuse as a wrong PIN. */
const NOBODY = hash('nobody has this pin');

export async function checkPin(pinHash: string | undefined, pin: string): Promise<boolean> {
  const right = await verify(pinHash ?? (await NOBODY), pin);
  return right && pinHash !== undefined;
}
