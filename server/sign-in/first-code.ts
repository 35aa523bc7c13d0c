import { randomInt } from 'node:crypto';

/** Digits alone: they are typed on the same keys as a PIN, in gloves. Wrong ones are counted as wrong PINs are. */
const LENGTH = 8;
/** Days in which somebody comes to their first shift. */
const GOOD_FOR_DAYS = 7;

/** A code that somebody signs in with once, to choose a PIN of their own. */
export const madeUpCode = (): string => String(randomInt(10 ** LENGTH)).padStart(LENGTH, '0');

export const codeUntil = (now: Date): Date => new Date(now.getTime() + GOOD_FOR_DAYS * 24 * 60 * 60 * 1000);

/** As it was meant: blanks and dashes are what a hand makes of it. */
export const codeAsMeant = (typed: string): string => typed.replace(/\D/g, '');
