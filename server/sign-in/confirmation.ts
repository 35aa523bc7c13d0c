import type { Config } from '../config';
import { isSealed, seal } from './secrets';

const GOOD_FOR = 12 * 60 * 60 * 1000;

/**
 * A PIN asked again for one signature: a token that is good for this person and this command alone, so that it can wait
 * with its command for the connection, and the PIN cannot.
 */
export function confirmationFor(config: Config, personId: string, commandId: string, now: Date): string {
  const until = now.getTime() + GOOD_FOR;
  return `${until}.${seal(config, whatIsConfirmed(personId, commandId, until))}`;
}

export function isConfirmed(
  config: Config,
  personId: string,
  commandId: string,
  confirmation: string | undefined,
  now: Date,
): boolean {
  const [until = '', given = ''] = (confirmation ?? '').split('.');
  if (!(Number(until) > now.getTime())) return false;
  return isSealed(config, whatIsConfirmed(personId, commandId, Number(until)), given);
}

const whatIsConfirmed = (personId: string, commandId: string, until: number): string =>
  `confirmation ${personId} ${commandId} ${until}`;
