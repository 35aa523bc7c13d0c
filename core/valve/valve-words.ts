import { CONSTRUCTIONS } from './constructions';
import type { Valve } from './valve';

/** Longer ones are found by their beginning. */
export const LONGEST_WORD = 24;
const MOST_TYPED = 6;

/** Words of a text as they are compared: small letters without accents, figures, nothing between. */
const wordsIn = (text: string): string[] =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')
    .map((word) => word.slice(0, LONGEST_WORD));

/** A tag or serial in one, as people type it without its blanks and dashes. */
const inOne = (text: string): string => wordsIn(text).join('').slice(0, LONGEST_WORD);

/** All that a valve is found by: tag, serial, customer, place, construction, medium, model. */
export function valveWords({
  tag,
  serial,
  customer,
  location,
  construction,
  medium,
  plate,
}: Valve): string[] {
  const texts = [
    tag,
    serial,
    customer,
    location,
    CONSTRUCTIONS[construction].name,
    medium?.name,
    plate?.model,
  ];
  const all = texts.flatMap((text) => wordsIn(text ?? ''));
  const joined = [tag, serial, plate?.model].flatMap((text) => (text === undefined ? [] : [inOne(text)]));
  return [...new Set([...all, ...joined])].filter((word) => word !== '');
}

/** What somebody typed to find one, word by word; each may be the beginning of a word. */
export const typedWords = (text: string): string[] => [...new Set(wordsIn(text))].slice(0, MOST_TYPED);
