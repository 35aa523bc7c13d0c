import { z } from 'zod';
import { notInTable, ok, type Result } from '../../../problem';
import { addProblem } from '../../../quantity';
import { ORIFICES, parseSize, parseThread, type Orifice } from '../../../standards';
import { fieldMeta, type About } from '../field-meta';
import { NUMERIC } from './numeric';

/** A plain number; a numeric text is taken too, since forms and files hold text. */
export function numberField(about: About, least: number, most: number, whole = false) {
  return z
    .union([z.number(), z.string().max(60)])
    .transform((raw, context): number => {
      const value = typeof raw === 'number' ? raw : NUMERIC.test(raw) ? Number(raw) : NaN;
      const kind = whole ? 'a whole number' : 'a number';
      if (value >= least && value <= most && (!whole || Number.isInteger(value))) return value;
      addProblem(context, {
        code: 'input.out-of-range',
        field: about.label,
        value: String(raw),
        allowed: `${kind} from ${least} to ${most}`,
        why: 'nothing else makes sense here',
      });
      return z.NEVER;
    })
    .register(fieldMeta, { ...about, kind: 'number' });
}

/** One of a few words; `also` are other ways people say them. Capitals and dashes do not matter. */
export function choiceField<const C extends readonly [string, ...string[]]>(
  choices: C,
  about: About,
  also: Readonly<Record<string, C[number]>> = {},
) {
  return choiceOf(choices, also).register(fieldMeta, { ...about, kind: 'choice', choices });
}

/** Several of a few words, in order. */
export function choicesField<const C extends readonly [string, ...string[]]>(
  choices: C,
  about: About,
  also: Readonly<Record<string, C[number]>> = {},
) {
  return z
    .array(choiceOf(choices, also))
    .max(100)
    .register(fieldMeta, { ...about, kind: 'choices', choices });
}

const plainWord = (text: string) => text.trim().toLowerCase().replaceAll('-', ' ').replaceAll('_', ' ');

function choiceOf<const C extends readonly [string, ...string[]]>(
  choices: C,
  also: Readonly<Record<string, C[number]>>,
) {
  const known = new Map<string, C[number]>([
    ...Object.entries(also).map(([word, choice]): [string, C[number]] => [plainWord(word), choice]),
    ...choices.map((choice): [string, C[number]] => [plainWord(choice), choice]),
  ]);
  return z.union([z.string().max(60), z.number().transform(String)]).transform((text, context): C[number] => {
    const choice = known.get(plainWord(text));
    if (choice !== undefined) return choice;
    addProblem(context, {
      code: 'table.no-entry',
      table: 'the choices',
      looked: text,
      has: choices.join(', '),
    });
    return z.NEVER;
  });
}

export function yesNoField(about: About) {
  return z
    .union([
      z.boolean(),
      z.enum(['yes', 'no', 'true', 'false']).transform((word) => word === 'yes' || word === 'true'),
    ])
    .register(fieldMeta, { ...about, kind: 'yes-no' });
}

/** A day, `2026-03-01`; a month, `2026-03`; or the quarter printed on a bag, `2Q26`: the first day of it. */
export function dateField(about: About) {
  return z
    .string()
    .max(20)
    .transform((text, context): string => {
      const day = readDay(text.trim());
      if (day !== undefined && z.iso.date().safeParse(day).success) return day;
      context.addIssue({
        code: 'custom',
        message: `“${text}” is no date; type it as 2026-03-01, 2026-03 or 1Q26`,
      });
      return z.NEVER;
    })
    .register(fieldMeta, { ...about, kind: 'date' });
}

function readDay(text: string): string | undefined {
  if (/^\d{4}-\d{2}-\d{2}$/.test(text)) return text;
  if (/^\d{4}-\d{2}$/.test(text)) return `${text}-01`;
  const quarter = /^([1-4])\s*Q\s*(\d{4}|\d{2})$/i.exec(text);
  if (!quarter) return undefined;
  const [, number = '', year = ''] = quarter;
  const century = Number(year) >= 70 ? '19' : '20';
  const month = String(Number(number) * 3 - 2).padStart(2, '0');
  return `${year.length === 4 ? year : century + year}-${month}-01`;
}

function textRead<T>(read: (text: string) => Result<T>, about: About) {
  return z
    .union([z.string().max(40), z.number().transform(String)])
    .transform((text, context): T => {
      const result = read(text);
      if (result.ok) return result.value;
      addProblem(context, result.problem);
      return z.NEVER;
    })
    .register(fieldMeta, { ...about, kind: 'text' });
}

export const threadField = (about: About) => textRead(parseThread, about);
export const sizeField = (about: About) => textRead(parseSize, about);
/** A class or rate as a standard writes it: `600`, `VI`, `D`. */
export const wordField = (about: About) =>
  textRead(
    (text) =>
      ok(
        text
          .trim()
          .toUpperCase()
          .replace(/^(CLASS|RATE)\s+/, ''),
      ),
    about,
  );
export const orificeField = (about: About) => textRead(readOrifice, about);

function readOrifice(text: string): Result<Orifice> {
  const letter = ORIFICES.find((each) => each === text.trim().toUpperCase());
  return letter ? ok(letter) : notInTable('API 526 orifices', text, ORIFICES.join(' '));
}
