import Papa from 'papaparse';

/**
 * A cell that a spreadsheet would run as a formula, at its beginning or behind any separator that some spreadsheet takes
 * for the end of a cell, is led by an apostrophe; one that has an apostrophe there already gets another, so that reading
 * takes just one away. Marks that no eye sees do not hide a formula.
 */
const FORMULA = /(^|[;,|\t\r\n])([\s\u0000\u00AD\u200B-\u200F\u2060\uFEFF"]*)('*)(?=[=+\-@])/g;
const NUMBER = /^-?\d+(\.\d+)?$/;
const safe = (value: string): string => (NUMBER.test(value) ? value : value.replace(FORMULA, "$1$2$3'"));
const plain = (value: string): string =>
  value.replace(FORMULA, (_whole, before: string, unseen: string, marks: string) =>
    [before, unseen, marks.slice(1)].join(''),
  );

/** Rows under a heading as CSV (RFC 4180), formula-safe. */
export function toCsv(heading: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  return (
    Papa.unparse({
      fields: [...heading],
      data: rows.map((row) => row.map((cell) => (typeof cell === 'number' ? cell : safe(cell)))),
    }) + '\r\n'
  );
}

export interface CsvRow {
  /** Line of the file, the heading being 1. */
  readonly row: number;
  readonly cells: Readonly<Record<string, string>>;
}

export interface CsvFile {
  readonly rows: readonly CsvRow[];
  /** Rows that cannot be read as rows of this heading, each with what is wrong. */
  readonly unreadable: readonly { readonly row: number; readonly why: string }[];
  /** What is wrong with the file as a whole: none of it is read. */
  readonly wrong: readonly string[];
}

/** More rows than any store's file has. */
const MOST_ROWS = 5000;
/** What a wrong encoding or a damaged file leaves behind. */
const DAMAGED = /[\u0000\uFFFD]/;

/**
 * A file as rows by their heading, and what is wrong with it. Semicolons are read as well as commas. Columns that `may` be
 * there are read where they are.
 */
export function fromCsv(text: string, heading: readonly string[], may: readonly string[] = []): CsvFile {
  const nothing = (why: string): CsvFile => ({ rows: [], unreadable: [], wrong: [why] });
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS + 2,
  });
  const quotes = parsed.errors.find(({ type }) => type === 'Quotes');
  if (quotes)
    return nothing(
      `A quotation mark near line ${(quotes.row ?? 0) + 1} does not close: from there on rows run into each other.`,
    );
  const [first = [], ...data] = parsed.data;
  const found = first.map((name) => name.trim().toLowerCase());
  const missing = heading.filter((name) => !found.includes(name));
  if (missing.length > 0)
    return nothing(
      `The heading lacks ${missing.map((name) => `“${name}”`).join(', ')}. It wants: ${heading.join(', ')}.`,
    );
  const read = [...heading, ...may.filter((name) => found.includes(name))];
  const twice = read.filter((name) => found.indexOf(name) !== found.lastIndexOf(name));
  if (twice.length > 0) return nothing(`The heading has ${twice.join(', ')} twice.`);
  if (data.length > MOST_ROWS)
    return nothing(`The file has more than ${MOST_ROWS} rows: bring it in in parts.`);
  const rows: CsvRow[] = [];
  const unreadable: { row: number; why: string }[] = [];
  for (const [i, cells] of data.entries()) {
    const row = i + 2;
    if (cells.length !== found.length)
      unreadable.push({
        row,
        why: `${cells.length} cells under a heading of ${found.length}: a comma or a quotation mark too many, or one missing`,
      });
    else if (cells.some((cell) => DAMAGED.test(cell)))
      unreadable.push({ row, why: 'letters that cannot be read: save the file as UTF-8' });
    else
      rows.push({
        row,
        cells: Object.fromEntries(
          read.map((name) => [name, plain((cells[found.indexOf(name)] ?? '').trim())]),
        ),
      });
  }
  return { rows, unreadable, wrong: [] };
}
