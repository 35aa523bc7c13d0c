import type { Field } from '@dusk-wren/core/workings';

/** What was typed into a form, by field: a text each; small tables as JSON of their rows. */
export type Typed = Record<string, string>;
export type TypedRow = Record<string, string>;

/** Lists typed in one line are parted by semicolons, line ends, or commas before a blank. */
export const listOf = (text: string): string[] =>
  text
    .split(/[;\n]|,\s+/)
    .map((each) => each.trim())
    .filter(Boolean);

/** The rows of a small table; none when the text is not one. */
export function rowsOf(text: string): TypedRow[] {
  const read: unknown = text === '' ? [] : safely(text);
  if (!Array.isArray(read)) return [];
  return read.flatMap((row: unknown) =>
    typeof row === 'object' && row !== null
      ? [Object.fromEntries(Object.entries(row).map(([name, cell]) => [name, String(cell)]))]
      : [],
  );
}

function safely(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export const textOfRows = (rows: readonly TypedRow[]): string =>
  rows.some((row) => Object.values(row).some((cell) => cell.trim() !== '')) ? JSON.stringify(rows) : '';

const filled = (row: TypedRow): boolean => Object.values(row).some((cell) => cell.trim() !== '');

/** Raw input of a working from what was typed; fields left empty are left out. */
export function rawFrom(fields: readonly Field[], typed: Typed): Record<string, unknown> {
  return Object.fromEntries(
    fieldsFor(fields, typed).flatMap((field): [string, unknown][] => {
      const text = typed[field.name]?.trim() ?? '';
      if (text === '') return [];
      if (field.kind === 'quantities' || field.kind === 'choices') return [[field.name, listOf(text)]];
      if (field.kind === 'rows') return [[field.name, rowsOf(text).filter(filled)]];
      return [[field.name, text]];
    }),
  );
}

/** Labels of the fields that must be given and are not. */
export const missingFrom = (fields: readonly Field[], typed: Typed): string[] =>
  fields.flatMap(({ optional, name, label }) => (!optional && !typed[name]?.trim() ? [label] : []));

/** The fields that matter for what has been typed so far. */
export const fieldsFor = (fields: readonly Field[], typed: Typed): Field[] =>
  fields.filter(({ onlyFor }) => {
    const other = onlyFor && typed[onlyFor.field];
    return !onlyFor || !other || onlyFor.values.includes(other);
  });

/** Values that work, so that a person sees what the working is for. */
export const exampleFor = (fields: readonly Field[]): Typed =>
  Object.fromEntries(
    fields
      .filter(({ optional, inExample }) => !optional || inExample)
      .map((field): [string, string] => [field.name, exampleOf(field)]),
  );

function exampleOf(field: Field): string {
  if (field.kind === 'choice') return field.example ?? field.choices[0] ?? '';
  if (field.kind !== 'rows') return field.example ?? '';
  const rows = field.exampleRows ?? [field.columns.map(({ example }) => example)];
  return textOfRows(
    rows.map((cells) => Object.fromEntries(field.columns.map(({ name }, i) => [name, cells[i] ?? '']))),
  );
}

/** One of several ways to say the same, with the fields of each. */
export interface Alternatives {
  readonly of: string;
  readonly ways: readonly { readonly as: string; readonly fields: readonly Field[] }[];
}
/** What a form shows, from the top: a field by itself, or a choice of ways. */
export type FormPart = { readonly field: Field } | { readonly choice: Alternatives };

export function formParts(fields: readonly Field[]): FormPart[] {
  return fields.flatMap((field): FormPart[] => {
    const { oneOf } = field;
    if (!oneOf) return [{ field }];
    const own = fields.filter((each) => each.oneOf?.of === oneOf.of);
    if (own[0] !== field) return [];
    const names = [...new Set(own.flatMap((each) => each.oneOf?.as ?? []))];
    return [
      {
        choice: {
          of: oneOf.of,
          ways: names.map((as) => ({ as, fields: own.filter((each) => each.oneOf?.as === as) })),
        },
      },
    ];
  });
}

/** The way in which something was typed; the first until then. */
export const wayTyped = ({ ways }: Alternatives, typed: Typed): string | undefined =>
  ways.find(({ fields }) => fields.some(({ name }) => typed[name]?.trim()))?.as;
