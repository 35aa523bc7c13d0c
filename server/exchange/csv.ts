import Papa from 'papaparse';

/** A cell that a spreadsheet would run as a formula is led by an apostrophe. */
const safe = (value: string): string =>
  /^[=+\-@\t\r]/.test(value) && !/^-?\d+(\.\d+)?$/.test(value) ? `'${value}` : value;
const plain = (value: string): string => (/^'[=+\-@\t\r]/.test(value) ? value.slice(1) : value);

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

/** A file as rows by their heading, and what is wrong with the file as a whole. Semicolons are read as well as commas. */
export function fromCsv(text: string, heading: readonly string[]): { rows: CsvRow[]; wrong: string[] } {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const found = parsed.meta.fields ?? [];
  const missing = heading.filter((name) => !found.includes(name));
  if (missing.length > 0) {
    return {
      rows: [],
      wrong: [
        `The heading lacks ${missing.map((name) => `“${name}”`).join(', ')}. It wants: ${heading.join(', ')}.`,
      ],
    };
  }
  return {
    rows: parsed.data.map((cells, i) => ({
      row: i + 2,
      cells: Object.fromEntries(heading.map((name) => [name, plain((cells[name] ?? '').trim())])),
    })),
    wrong: [],
  };
}
