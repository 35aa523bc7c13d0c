import type { ShopSettings } from '@dusk-wren/contract';
import type { PersonStamp, Role } from '@dusk-wren/core/job';
import { Secret, TOTP } from 'otpauth';
import type { Sequelize } from 'sequelize';
import { Refusal } from '../refusal';
import { keepSecret, secondOf, useStep } from '../database/second-factors';
import { beginTry, forgetTries } from '../database/sign-in-tries';

const ASKS: Readonly<Record<ShopSettings['secondFactor'], readonly Role[]>> = {
  nobody: [],
  leads: ['lead'],
  'leads and inspectors': ['lead', 'inspector'],
};

/** Whether the shop asks this role for more than a PIN. */
export const asksSecond = ({ secondFactor }: ShopSettings, role: Role): boolean =>
  ASKS[secondFactor].includes(role);

/** Time-based codes of RFC 6238 as every authenticator knows them: six digits, a new one each half minute. */
const codes = (secret: string, shop: string, person: string) =>
  new TOTP({ issuer: shop, label: person, secret: Secret.fromBase32(secret), digits: 6, period: 30 });
/** Clocks of phones differ: the code before and the one after are taken too. */
const WINDOW = 1;

/**
 * Whoever the shop asks for a second factor has given it, or this refuses and says what is wanted: a code, or an
 * authenticator to be set up first. A code opens once; wrong ones are counted as wrong PINs are.
 */
export async function askSecond(
  sequelize: Sequelize,
  settings: ShopSettings,
  person: PersonStamp,
  code: string | undefined,
  now: Date,
): Promise<void> {
  if (!asksSecond(settings, person.role)) return;
  const kept = await secondOf(person.id);
  const secret = kept.secret ?? (await keepSecret(person.id, new Secret({ size: 20 }).base32));
  const totp = codes(secret, settings.name, person.name);
  if (code === undefined)
    throw kept.step === null
      ? new Refusal({ code: 'second.to-set-up', secret, address: totp.toString() })
      : new Refusal({ code: 'second.needed' });
  const key = `second ${person.id}`;
  const begun = await beginTry(sequelize, key, now);
  if ('wait' in begun) throw new Refusal({ code: 'request.too-many', retryAfterSeconds: begun.wait });
  const away = totp.validate({ token: code, timestamp: now.getTime(), window: WINDOW });
  const step = away === null ? null : totp.counter({ timestamp: now.getTime() }) + away;
  if (step === null || !(await useStep(person.id, step))) throw new Refusal({ code: 'second.wrong' });
  await forgetTries(key);
}
