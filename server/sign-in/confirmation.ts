import { createHmac, timingSafeEqual } from 'node:crypto';
import type { Config } from '../config';

const GOOD_FOR = 12 * 60 * 60 * 1000;

/**
 * A PIN asked again for one signature: a token that is good for this person and this command alone, so that it can wait
 * with its command for the connection, and the PIN cannot.
 */
export function confirmationFor(config: Config, personId: string, commandId: string, now: Date): string {
  const until = now.getTime() + GOOD_FOR;
  return `${until}.${sealOf(config, personId, commandId, until)}`;
}

export function isConfirmed(
  config: Config,
  personId: string,
  commandId: string,
  confirmation: string | undefined,
  now: Date,
): boolean {
  const [until = '', seal = ''] = (confirmation ?? '').split('.');
  if (!(Number(until) > now.getTime())) return false;
  const wanted = Buffer.from(sealOf(config, personId, commandId, Number(until)));
  const given = Buffer.from(seal);
  return given.length === wanted.length && timingSafeEqual(given, wanted);
}

const sealOf = ({ SESSION_SECRET }: Config, personId: string, commandId: string, until: number): string =>
  createHmac('sha256', SESSION_SECRET)
    .update(`confirmation ${personId} ${commandId} ${until}`)
    .digest('base64url');
