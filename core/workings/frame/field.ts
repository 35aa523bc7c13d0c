import { z } from 'zod';
import {
  addProblem,
  parseQuantity,
  quantityOf,
  si,
  unitNames,
  type Dimension,
  type Quantity,
  type UnitOf,
} from '../../quantity';
import { ORIFICES, parseSize, parseThread, type Orifice } from '../../standards';
import { ok, notInTable, type Result } from '../../problem';

/** What an input field is, for a form or a list: the schema itself says what it takes. */
export type FieldKind =
  | { kind: 'quantity'; dimensions: readonly Dimension[]; units: readonly string[]; bareUnit?: string }
  | { kind: 'quantities'; dimension: Dimension; units: readonly string[] }
  | { kind: 'number' }
  | { kind: 'choice'; choices: readonly string[] }
  | { kind: 'choices'; choices: readonly string[] }
  | { kind: 'yes-no' }
  | { kind: 'date' }
  | { kind: 'text' }
  | { kind: 'rows'; columns: readonly Column[] }
  | { kind: 'file' };

/** One column of a field that is a small table. */
export interface Column {
  readonly name: string;
  readonly label: string;
  readonly example: string;
}

interface About {
  label: string;
  /** A value that works, as a person would type it. */
  example?: string;
  /** Part of the worked example, though it may be left out. */
  inExample?: true;
  /** Rows of a small table that work, cell by cell in the order of its columns. */
  exampleRows?: readonly (readonly string[])[];
  /** Wanted only while another field has one of these values. */
  onlyFor?: { readonly field: string; readonly values: readonly string[] };
}

export type FieldMeta = FieldKind & About;

/** The labels and kinds of every field, beside the schemas that read them. */
export const fieldMeta = z.registry<FieldMeta>();

/** Sign a field's quantity must have. */
type Sign = 'positive' | 'not negative' | 'any';

/** Nothing in the trade is larger, in SI units: a slip of the unit, not a value. */
const ABSURD: Partial<Record<Dimension, number>> = {
  length: 100,
  force: 1e8,
  torque: 1e6,
  'gauge pressure': 5e8,
  'absolute pressure': 5e8,
  'pressure difference': 5e8,
  stress: 1e12,
  area: 100,
  volume: 1e5,
  flow: 100,
  'gas flow': 1e4,
  'flow coefficient': 1e6,
  temperature: 2000,
  mass: 1e6,
  time: 4e9,
  speed: 1000,
  stiffness: 1e10,
  density: 30000,
  ratio: 1e6,
};

function checkSize(q: Quantity, label: string, sign: Sign, context: z.core.$RefinementCtx): void {
  const shown = `${q.value} ${q.unit}`.trim();
  const problem = (allowed: string, why: string) =>
    addProblem(context, { code: 'input.out-of-range', field: label, value: shown, allowed, why });
  if (!Number.isFinite(q.value)) problem('a finite number', 'nothing can be reckoned with it');
  else if (sign === 'positive' && q.value <= 0) problem('more than 0', 'less has no meaning here');
  else if (sign === 'not negative' && q.value < 0) problem('0 or more', 'less has no meaning here');
  else if (Math.abs(si(q)) > (ABSURD[q.dimension] ?? Infinity))
    problem('a size that a valve can have', 'this looks like a slip of the unit');
}

export function quantityField<D extends Dimension>(dimension: D, about: About, sign: Sign = 'positive') {
  return quantityOf(dimension)
    .superRefine((q, context) => {
      checkSize(q, about.label, sign, context);
    })
    .register(fieldMeta, {
      ...about,
      kind: 'quantity',
      dimensions: [dimension],
      units: unitNames(dimension),
    });
}

/** A quantity of one of several kinds, such as a signal in psi, mA or percent; the first that can be read is meant. */
export function eitherField<const D extends readonly [Dimension, ...Dimension[]]>(
  dimensions: D,
  about: About,
  sign: Sign = 'positive',
) {
  const [first, ...others] = dimensions;
  return z
    .union([z.string().max(60), z.number(), z.object({ value: z.number(), unit: z.string() }).loose()])
    .transform((raw, context): Quantity<D[number]> => {
      const text =
        typeof raw === 'object'
          ? `${raw.value} ${raw.unit}`.trim()
          : typeof raw === 'number'
            ? String(raw)
            : raw;
      const readings = [first, ...others].map((dimension) => parseQuantity<D[number]>(text, dimension));
      const read = readings.find((each) => each.ok) ?? readings[0];
      if (read?.ok) {
        checkSize(read.value, about.label, sign, context);
        return read.value;
      }
      if (read) addProblem(context, read.problem);
      return z.NEVER;
    })
    .register(fieldMeta, {
      ...about,
      kind: 'quantity',
      dimensions,
      units: dimensions.flatMap((dimension) => unitNames(dimension)),
    });
}

const NUMERIC = /^\s*[-+]?(\d+(\.\d+)?|\.\d+)\s*$/;

/** A quantity, or a bare number that means `unit`: hours, days, percent. */
export function amountField<D extends Dimension>(
  dimension: D,
  unit: UnitOf<D>,
  about: About,
  sign: Sign = 'positive',
) {
  return z
    .union([z.number(), z.string().max(60), z.object({ value: z.number(), unit: z.string() }).loose()])
    .transform((raw, context): Quantity<D> => {
      const text = typeof raw === 'object' ? `${raw.value} ${raw.unit}` : String(raw);
      const read = parseQuantity(text.trim(), dimension, NUMERIC.test(text) ? { unit } : {});
      if (read.ok) {
        checkSize(read.value, about.label, sign, context);
        return read.value;
      }
      addProblem(context, read.problem);
      return z.NEVER;
    })
    .register(fieldMeta, {
      ...about,
      kind: 'quantity',
      dimensions: [dimension],
      units: unitNames(dimension),
      bareUnit: unit,
    });
}

/** A factor without a unit, as a plain number: `0.12`, `"0.12"` and `"12 %"` are the same. */
export function factorField(about: About, least: number, most: number) {
  return amountField('ratio', '', about, 'any')
    .transform((q, context): number => {
      const value = si(q);
      if (value >= least && value <= most) return value;
      addProblem(context, {
        code: 'input.out-of-range',
        field: about.label,
        value: q.entered ?? String(q.value),
        allowed: `from ${least} to ${most}`,
        why: 'nothing else makes sense here',
      });
      return z.NEVER;
    })
    .register(fieldMeta, { ...about, kind: 'quantity', dimensions: ['ratio'], units: ['%'], bareUnit: '' });
}

export function quantitiesField<D extends Dimension>(dimension: D, about: About, most: number) {
  return z
    .array(
      quantityOf(dimension).superRefine((q, context) => {
        checkSize(q, about.label, 'any', context);
      }),
    )
    .max(most)
    .register(fieldMeta, { ...about, kind: 'quantities', dimension, units: unitNames(dimension) });
}

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

/** A small table: each row an object with these columns, whose schemas read the cells. */
export function rowsField<S extends Record<string, z.ZodType>>(
  cells: S,
  columns: readonly (Column & { name: Extract<keyof S, string> })[],
  about: About,
  most = 400,
) {
  return z
    .array(z.strictObject(cells))
    .max(most)
    .register(fieldMeta, { ...about, kind: 'rows', columns });
}

const angle = z.union([
  z.number().transform((value): Quantity<'angle'> => ({ dimension: 'angle', value, unit: '°' })),
  z
    .string()
    .regex(NUMERIC)
    .transform((text): Quantity<'angle'> => ({ dimension: 'angle', value: Number(text), unit: '°' })),
  quantityOf('angle'),
]);

/** Stretches of the blue line: from and to in degrees clockwise from 12, with the line's width. */
export const arcsField = (about: About) =>
  rowsField(
    { from: angle, to: angle, width: quantityOf('length') },
    [
      { name: 'from', label: 'from, °', example: '0' },
      { name: 'to', label: 'to, °', example: '350' },
      { name: 'width', label: 'width', example: '30 thou' },
    ],
    about,
    360,
  );

const LARGEST_RECORDING = 256 * 1024 * 1024;

/** A CSV file as bytes or text, alone or with the columns chosen by hand. */
export function recordingField<C extends z.ZodType>(columns: C, about: About) {
  const bytes = z.union([
    z.instanceof(Uint8Array),
    z.string().transform((text): Uint8Array => new TextEncoder().encode(text)),
  ]);
  const withColumns = z.strictObject({ bytes, columns: columns.exactOptional() });
  return z
    .union([bytes.transform((read): z.output<typeof withColumns> => ({ bytes: read })), withColumns])
    .refine((read) => read.bytes.length <= LARGEST_RECORDING, 'the recording is larger than 256 MB')
    .register(fieldMeta, { ...about, kind: 'file' });
}

/** A picture as a canvas gives it: RGBA, row by row. */
export function pictureField(about: About) {
  return z
    .object({
      width: z.int().min(16).max(20_000),
      height: z.int().min(16).max(20_000),
      data: z.union([
        z.instanceof(Uint8ClampedArray),
        z.array(z.int().min(0).max(255)).transform((bytes) => Uint8ClampedArray.from(bytes)),
      ]),
    })
    .refine(
      ({ width, height, data }) => data.length === 4 * width * height,
      'a picture has four bytes for each pixel',
    )
    .register(fieldMeta, { ...about, kind: 'file' });
}
