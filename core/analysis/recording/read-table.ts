/** Columns of numbers out of a CSV file: what could be read, and what could not, by line. */
export interface NumberTable {
  readonly headers: readonly string[];
  /** One array a column, all of `rows` numbers. */
  readonly columns: readonly Float64Array[];
  readonly rows: number;
  readonly broken: BrokenRows;
}

export interface BrokenRows {
  readonly count: number;
  /** The first of them, by line of the file, and what was wrong. */
  readonly named: readonly { readonly line: number; readonly why: string }[];
}

const NAMED_AT_MOST = 20;
const TAB = 9;
const NEWLINE = 10;
const RETURN = 13;
const SPACE = 32;
const QUOTE = 34;
const PLUS = 43;
const COMMA = 44;
const MINUS = 45;
const DOT = 46;
const ZERO = 48;
const NINE = 57;
const SEMICOLON = 59;
const CAPITAL_E = 69;
const SMALL_E = 101;

/**
 * Reads a CSV of numbers with a header line, in one pass over its bytes (UTF-8). The delimiter is the semicolon, tab
 * or comma that the header uses most; with a semicolon or tab a decimal comma is read too. A row with a cell that is
 * no number, or with too few cells, is left out, counted and named. Undefined when there is no header or no row.
 */
export function readNumberTable(bytes: Uint8Array): NumberTable | undefined {
  const headerEnd = lineEnd(bytes, 0);
  const headerText = new TextDecoder().decode(bytes.subarray(0, headerEnd)).replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(headerText);
  const headers = splitHeader(headerText, String.fromCharCode(delimiter));
  if (headers.length < 2) return undefined;
  const reader = new RowReader(bytes, delimiter, headers.length);
  const most = Math.ceil((bytes.length - headerEnd) / (2 * headers.length)) + 1;
  let columns = headers.map(() => new Float64Array(Math.min(most, 1 << 20)));
  const named: { line: number; why: string }[] = [];
  let [rows, count, line, at] = [0, 0, 1, headerEnd + 1];
  while (at < bytes.length) {
    line += 1;
    const why = reader.read(at);
    at = reader.next;
    if (why === 'empty') continue;
    if (why !== undefined) {
      count += 1;
      if (named.length < NAMED_AT_MOST) named.push({ line, why });
      continue;
    }
    if (rows === columns[0]?.length) columns = columns.map((column) => grown(column));
    for (let c = 0; c < columns.length; c++) {
      const column = columns[c];
      if (column) column[rows] = reader.cells[c] ?? 0;
    }
    rows += 1;
  }
  if (rows === 0 && count === 0) return undefined;
  return {
    headers,
    columns: columns.map((column) => column.subarray(0, rows)),
    rows,
    broken: { count, named },
  };
}

function grown(column: Float64Array): Float64Array<ArrayBuffer> {
  const larger = new Float64Array(column.length * 2);
  larger.set(column);
  return larger;
}

function lineEnd(bytes: Uint8Array, from: number): number {
  const end = bytes.indexOf(NEWLINE, from);
  return end < 0 ? bytes.length : end;
}

function delimiterOf(header: string): number {
  const counted = [SEMICOLON, TAB, COMMA].map((code) => ({
    code,
    count: header.split(String.fromCharCode(code)).length - 1,
  }));
  return counted.reduce((best, each) => (each.count > best.count ? each : best)).code;
}

/** Cells of the header; a quoted one may hold the delimiter. */
function splitHeader(header: string, delimiter: string): string[] {
  const cells = [''];
  let quoted = false;
  for (const character of header.replace(/\r$/, '')) {
    if (character === '"') quoted = !quoted;
    else if (character === delimiter && !quoted) cells.push('');
    else cells[cells.length - 1] += character;
  }
  return cells.map((cell) => cell.trim());
}

const POWERS = Float64Array.from({ length: 23 }, (_, i) => Number(`1e${i}`));

/** Powers of ten to 10^22 are exact, so one division rounds once. */
function scaled(mantissa: number, scale: number): number {
  if (scale === 0) return mantissa;
  const power = POWERS[Math.abs(scale)] ?? 10 ** Math.abs(scale);
  return scale < 0 ? mantissa / power : mantissa * power;
}

/** Reads one row of numbers at a time into `cells`; keeps no text. */
class RowReader {
  readonly cells: Float64Array;
  next = 0;
  private at = 0;
  private readonly decimalComma: boolean;

  constructor(
    private readonly bytes: Uint8Array,
    private readonly delimiter: number,
    private readonly width: number,
  ) {
    this.cells = new Float64Array(width);
    this.decimalComma = delimiter !== COMMA;
  }

  /** Undefined when the row was read; otherwise why not. */
  read(from: number): string | undefined {
    this.at = from;
    this.skipBlanks();
    if (this.atLineEnd()) return this.leave('empty');
    for (let cell = 0; cell < this.width; cell++) {
      if (!this.number(cell)) return this.leave(`cell ${cell + 1} is no number`);
      const last = cell === this.width - 1;
      if (!last && this.bytes[this.at] !== this.delimiter)
        return this.leave(`${cell + 1} of ${this.width} cells`);
      if (!last) this.at += 1;
    }
    return this.atLineEnd() ? this.leave(undefined) : this.leave('more cells than the header');
  }

  private leave(why: string | undefined): string | undefined {
    this.next = lineEnd(this.bytes, this.at) + 1;
    return why;
  }

  private atLineEnd(): boolean {
    const byte = this.bytes[this.at];
    return byte === undefined || byte === NEWLINE || byte === RETURN;
  }

  private skipBlanks(): void {
    while (
      (this.bytes[this.at] === SPACE || this.bytes[this.at] === QUOTE || this.bytes[this.at] === TAB) &&
      this.bytes[this.at] !== this.delimiter
    )
      this.at += 1;
  }

  private number(cell: number): boolean {
    this.skipBlanks();
    const { bytes } = this;
    let sign = 1;
    const first = bytes[this.at];
    if (first === MINUS || first === PLUS) {
      sign = first === MINUS ? -1 : 1;
      this.at += 1;
    }
    const start = this.at;
    let mantissa = this.digits(0);
    let scale = 0;
    let digits = this.at - start;
    if (bytes[this.at] === DOT || (this.decimalComma && bytes[this.at] === COMMA)) {
      this.at += 1;
      const fraction = this.at;
      mantissa = this.digits(mantissa);
      scale = fraction - this.at;
      digits += this.at - fraction;
    }
    if (digits === 0) return false;
    const mark = bytes[this.at];
    if (mark === CAPITAL_E || mark === SMALL_E) {
      this.at += 1;
      const negative = bytes[this.at] === MINUS;
      if (negative || bytes[this.at] === PLUS) this.at += 1;
      const exponent = this.digits(0);
      scale += negative ? -exponent : exponent;
    }
    this.skipBlanks();
    const value = sign * scaled(mantissa, scale);
    this.cells[cell] = value;
    return Number.isFinite(value);
  }

  private digits(so: number): number {
    const { bytes } = this;
    let value = so;
    let at = this.at;
    for (; at < bytes.length; at++) {
      const byte = bytes[at] ?? 0;
      if (byte < ZERO || byte > NINE) break;
      value = value * 10 + (byte - ZERO);
    }
    this.at = at;
    return value;
  }
}
