import { z } from 'zod';
import { format, type UnitSystem } from './format';
import type { Quantity } from './quantity';
import { anyQuantity } from './schema';

/** Words with quantities in them, so that whoever reads them has them in their own units. */
export type Phrase = string | readonly (string | Quantity)[];

export const phraseSchema: z.ZodType<Phrase> = z.union([
  z.string().max(2000),
  z.array(z.union([z.string().max(2000), anyQuantity])).max(40),
]);

/** A phrase out of a template: ``phrase`${depth} deep` ``. */
export function phrase(
  words: TemplateStringsArray,
  ...between: readonly (number | Phrase | Quantity)[]
): Phrase {
  const parts = words.flatMap((text, i) => {
    const next = between[i];
    if (next === undefined) return [text];
    return [text, ...(isQuantity(next) || typeof next === 'string' ? [next] : piecesOf(next))];
  });
  return joined(parts);
}

/** Words that stand together as one; a phrase without a figure is a plain string. */
function joined(parts: readonly (string | Quantity)[]): Phrase {
  const found: (string | Quantity)[] = [];
  for (const part of parts) {
    const last = found.at(-1);
    if (typeof part === 'string' && typeof last === 'string') found[found.length - 1] = last + part;
    else if (part !== '') found.push(part);
  }
  const [first = '', ...rest] = found;
  return rest.length === 0 && typeof first === 'string' ? first : found;
}

const piecesOf = (given: number | Exclude<Phrase, string>): readonly (string | Quantity)[] =>
  typeof given === 'number' ? [String(given)] : given;

const isQuantity = (given: number | Phrase | Quantity): given is Quantity =>
  typeof given === 'object' && 'dimension' in given;

/** Phrases one after the other. */
export const listed = (phrases: readonly Phrase[], between = '; '): Phrase =>
  joined(
    phrases.flatMap((each, i) => [
      ...(i === 0 ? [] : [between]),
      ...(typeof each === 'string' ? [each] : each),
    ]),
  );

/** Says a phrase in the reader's units. */
export const say = (words: Phrase, system: UnitSystem): string =>
  typeof words === 'string'
    ? words
    : words.map((part) => (typeof part === 'string' ? part : format(part, system))).join('');

/** With a capital, where it begins a sentence or a title. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** The phrase with a capital, where it stands as a sentence. */
export function capitalised(words: Phrase): Phrase {
  if (typeof words === 'string') return capital(words);
  const [first, ...rest] = words;
  return typeof first === 'string' ? [capital(first), ...rest] : words;
}
