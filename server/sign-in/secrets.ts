import { createHmac, timingSafeEqual } from 'node:crypto';
import type { Config } from '../config';

type Secrets = Pick<Config, 'SESSION_SECRET' | 'SESSION_SECRET_BEFORE'>;

/** What this shop seals with now, and what it did before, as long as both are good. */
export const secretsOf = ({ SESSION_SECRET, SESSION_SECRET_BEFORE }: Secrets): string[] => [
  SESSION_SECRET,
  ...(SESSION_SECRET_BEFORE === undefined ? [] : [SESSION_SECRET_BEFORE]),
];

const sealedBy = (secret: string, text: string): string =>
  createHmac('sha256', secret).update(text).digest('base64url');

/** A seal over a text (HMAC-SHA256, base64url) that nobody makes without the shop’s secret. */
export const seal = ({ SESSION_SECRET }: Secrets, text: string): string => sealedBy(SESSION_SECRET, text);

/** Whether two texts are the same, told in the same time wherever they differ. */
export function isSame(one: string, other: string): boolean {
  const [a, b] = [Buffer.from(one), Buffer.from(other)];
  return a.length > 0 && a.length === b.length && timingSafeEqual(a, b);
}

/** Whether this is the shop’s seal over a text. */
export const isSealed = (secrets: Secrets, text: string, given: string): boolean =>
  secretsOf(secrets).some((secret) => isSame(sealedBy(secret, text), given));
