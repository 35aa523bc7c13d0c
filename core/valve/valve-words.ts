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

/** What a valve is found by. */
export interface ValveWords {
  /** Of customer, place, construction, medium and model: few in all, and shared by many valves. */
  readonly shared: readonly string[];
  /** Every beginning of its tag and serial, with and without what stands between: its own, as far as they go. */
  readonly own: readonly string[];
}

export function valveWords({
  tag,
  serial,
  customer,
  location,
  construction,
  medium,
  plate,
}: Valve): ValveWords {
  const texts = [customer, location, CONSTRUCTIONS[construction].name, medium?.name, plate?.model];
  const shared = new Set(texts.flatMap((text) => wordsIn(text ?? '')));
  if (plate?.model !== undefined) shared.add(inOne(plate.model));
  const own = new Set(
    [tag, serial ?? ''].flatMap((text) => [...wordsIn(text), inOne(text)]).flatMap(beginningsOf),
  );
  const written = (words: Iterable<string>) => [...words].filter((word) => word !== '');
  return { shared: written(shared), own: written(own).filter((word) => !shared.has(word)) };
}

/** A tag, serial or model in one, as people type it without its blanks and dashes. */
const inOne = (text: string): string => wordsIn(text).join('').slice(0, LONGEST_WORD);

const beginningsOf = (word: string): string[] =>
  [...word].map((_, i, letters) => letters.slice(0, i + 1).join(''));

/** What somebody typed to find one, word by word; each may be the beginning of a word. */
export const typedWords = (text: string): string[] => [...new Set(wordsIn(text))].slice(0, MOST_TYPED);
