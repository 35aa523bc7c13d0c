import { createHmac } from 'node:crypto';
import type { Config } from '../config';
import { isSame } from './secrets';

/** Letters and digits that are not taken for each other. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const LENGTH = 12;

/**
 * The code that makes the first lead of an empty shop. It follows from the server's secret, so that every server of the
 * shop prints the same one; it opens nothing once anybody is on file.
 */
export function firstLeadCode({ SESSION_SECRET, DATABASE_URL }: Config): string {
  const database = new URL(DATABASE_URL).pathname;
  const bytes = createHmac('sha256', SESSION_SECRET).update(`first lead ${database}`).digest();
  const letters = [...bytes.subarray(0, LENGTH)].map((byte) => LETTERS[byte % LETTERS.length] ?? '').join('');
  return letters.replace(/(.{4})(?=.)/g, '$1-');
}

export function isFirstLeadCode(config: Config, typed: string): boolean {
  const plain = (code: string) => code.toUpperCase().replace(/[^A-Z0-9]/g, '');
  const [given, wanted] = [plain(typed), plain(firstLeadCode(config))];
  return isSame(given, wanted);
}
