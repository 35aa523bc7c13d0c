import type { PersonStamp } from '@dusk-wren/core/job';
import type { Request } from 'express';
import type { Sequelize } from 'sequelize';
import { Refusal } from '../refusal';
import { isKnownDevice } from '../database/known-devices';
import { findPersonWithPin } from '../database/people';
import { beginTry, forgetTries } from '../database/sign-in-tries';
import { readCookie } from './cookies';
import { codeAsMeant } from './first-code';
import { checkPin, leastDigits } from './pin';

/**
 * Whether this is that person's PIN. Wrong ones are counted per person with a growing wait, those from a device that the
 * person has signed in on before by themselves: a stranger's guessing makes nobody wait at their own bench. Addresses
 * play no part, for behind a proxy they are one, or whatever somebody writes. A code from a lead opens nothing but the choice
 * of a PIN (`byCode`).
 */
export async function tryPin(
  sequelize: Sequelize,
  request: Request,
  personId: string,
  pin: string,
  now: Date,
  options: { readonly byCode?: true } = {},
): Promise<PersonStamp | undefined> {
  const found = await findPersonWithPin(personId);
  const device = readCookie(request, 'device');
  const known = found !== undefined && (await isKnownDevice(device, personId));
  // All who are not on file are one: made-up ids leave no rows.
  const whose = found ? personId : 'nobody';
  const key = known ? `device ${device ?? ''} ${whose}` : `person ${whose}`;
  const begun = await beginTry(sequelize, key, now);
  if ('wait' in begun) {
    request.log.warn({ person: whose, device: known, wait: begun.wait }, 'sign-in tried too early');
    throw new Refusal({ code: 'request.too-many', retryAfterSeconds: begun.wait });
  }
  const given = found?.codeUntil ? codeAsMeant(pin) : pin;
  if (!(await checkPin(found?.pinHash, given)) || !found) {
    request.log.warn(
      { person: whose, device: known, failures: begun.failuresBefore + 1 },
      'wrong PIN at sign-in',
    );
    return undefined;
  }
  await forgetTries(key);
  if (found.codeUntil && !options.byCode) {
    if (found.codeUntil < now) throw new Refusal({ code: 'pin.code-over' });
    throw new Refusal({ code: 'pin.to-choose', least: leastDigits(found.person.role) });
  }
  return found.person;
}
