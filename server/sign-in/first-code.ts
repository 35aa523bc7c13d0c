import { randomInt } from 'node:crypto';
import { LETTERS } from './first-lead';

const LENGTH = 8;
/** Days in which somebody comes to their first shift. */
const GOOD_FOR_DAYS = 7;

/** A code that somebody signs in with once, to choose a PIN of their own. */
export const madeUpCode = (): string =>
  Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)] ?? '').join('');

export const codeUntil = (now: Date): Date => new Date(now.getTime() + GOOD_FOR_DAYS * 24 * 60 * 60 * 1000);

/** As it was meant: small letters and blanks are what a hand makes of it. */
export const codeAsMeant = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
