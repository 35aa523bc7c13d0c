import type { PersonWithCode, PreviewedRow, SetupFileTaken } from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import { issuesFromZod } from '@dusk-wren/core/problem';
import type { z } from 'zod';
import { refuseChangedSince, type Moment } from '../../database/setup-changes';
import { oneAtATime } from '../../database/transacted';
import { Refusal } from '../../refusal';
import { fromCsv, toCsv, type CsvRow } from '../csv';
import type { Transaction } from 'sequelize';

/** Something that is set up here already. */
export interface Here<T> {
  readonly id: string;
  readonly is: T;
}

export interface Change<T> {
  /** What stands here under that name; nothing where it is new. */
  readonly was?: Here<T>;
  readonly is: T;
}

/** Writes what was read; answers with the codes of who is new. */
type Writes = (transaction: Transaction) => Promise<readonly PersonWithCode[]>;

/** A thing of setup as a line of a file. */
export interface Lines<T> {
  /** Its columns, the name first; those that `may` be there may be left out of a file. */
  readonly heading: readonly string[];
  readonly may: readonly string[];
  /** What is here of what these rows name; of everything where there are too many to be asked for one by one. */
  readonly here: (rows: readonly CsvRow['cells'][]) => Promise<readonly Here<T>[]>;
  readonly nameOf: (item: T) => string;
  /** The name that a row has; that of its first column where none is told. */
  readonly nameIn?: (cells: CsvRow['cells']) => string;
  /** Rows that are taken at once, at most. */
  readonly most?: number;
  /** All of it as a file, where that is not a row each of what is `here`. */
  readonly write?: () => Promise<string>;
  /** What names have in common that are one: by themselves, capitals and spaces around them say nothing. */
  readonly keyOf?: (name: string) => string;
  readonly cellsOf: (item: T) => readonly string[];
  /** A line as what it says; `was` gives what it leaves out. */
  readonly read: (cells: CsvRow['cells'], was: T | undefined) => z.ZodSafeParseResult<T>;
  /** Why what stands here may not become this by a file, with what a file cannot tell. */
  readonly refuses?: (is: T, was: T | undefined) => readonly string[];
  /** The column of what stands at a path, where it is called otherwise. */
  readonly column?: (path: string) => string;
  /** Done before the transaction begins, for it takes its time; what it answers writes the changes. */
  readonly writer: (moment: Moment, changes: readonly Change<T>[]) => Writes | Promise<Writes>;
}

/** A file of one kind of thing: written out, looked at row by row, taken. */
export interface SetupFile {
  readonly write: () => Promise<string>;
  readonly look: (csv: string) => Promise<{ good: number; rows: PreviewedRow[] }>;
  readonly take: (
    moment: Moment,
    asked: { readonly csv: string; readonly skipBad: boolean; readonly after: number },
  ) => Promise<SetupFileTaken>;
}

/** More than a shop has of most things that are set up by a file. */
const USUAL_MOST = 400;

export function setupFile<T>(lines: Lines<T>): SetupFile {
  const [name = ''] = lines.heading;
  const { most = USUAL_MOST, nameIn = (cells) => cells[name] ?? '' } = lines;
  const keyOf = lines.keyOf ?? ((word: string) => word.trim().toLowerCase());

  /** All that a file tells of it beside its name, which is as it stands here. */
  const told = (item: T) => lines.cellsOf(item).slice(1).join('\n');

  async function readFile(csv: string): Promise<{ rows: PreviewedRow[]; changes: Change<T>[] }> {
    const { rows, unreadable, wrong } = fromCsv(csv, lines.heading, lines.may);
    const whole = [
      ...wrong,
      ...(wrong.length === 0 && rows.length + unreadable.length === 0
        ? ['The file has a heading and no rows.']
        : []),
      ...(rows.length > most ? [`The file has more than ${most} rows: bring it in in parts.`] : []),
    ];
    if (whole.length > 0) return { rows: [{ row: 1, key: '', does: 'bad', why: whole }], changes: [] };
    const known = await lines.here(rows.map(({ cells }) => cells));
    const here = new Map(known.map((each) => [keyOf(lines.nameOf(each.is)), each]));
    const seen = new Set<string>();
    const changes: Change<T>[] = [];
    const said = rows.map(({ row, cells }): PreviewedRow => {
      const key = nameIn(cells);
      const bad = (...why: readonly string[]): PreviewedRow => ({ row, key, does: 'bad', why: [...why] });
      if (seen.has(keyOf(key))) return bad(`${name}: ${key} stands in this file twice`);
      seen.add(keyOf(key));
      const was = here.get(keyOf(key));
      const read = lines.read(cells, was?.is);
      if (!read.success) return bad(...reasons(read.error, cells));
      const refused = lines.refuses?.(read.data, was?.is) ?? [];
      if (refused.length > 0) return bad(...refused);
      const isSame = was && told(was.is) === told(read.data);
      if (!isSame) changes.push({ ...(was ? { was } : {}), is: read.data });
      return { row, key, does: isSame ? 'same' : was ? 'change' : 'new', why: [] };
    });
    const broken = unreadable.map(({ row, why }) => ({ row, key: '', does: 'bad' as const, why: [why] }));
    return { rows: [...said, ...broken].sort((a, b) => a.row - b.row), changes };
  }

  function reasons(error: z.ZodError, cells: CsvRow['cells']): string[] {
    return issuesFromZod(error).map(({ path, problem }) => {
      const column = lines.column?.(path) ?? path.split('.')[0] ?? '';
      // Our own words quote what was typed themselves.
      const words =
        problem.code === 'field' ? `“${cells[column] ?? ''}”: ${problem.message}` : wordProblem(problem);
      return `${column}: ${words}`;
    });
  }

  return {
    write:
      lines.write ??
      (async () =>
        toCsv(
          [...lines.heading, ...lines.may],
          (await lines.here([])).map(({ is }) => lines.cellsOf(is)),
        )),
    look: async (csv) => {
      const { rows } = await readFile(csv);
      return { good: rows.filter(({ does }) => does !== 'bad').length, rows };
    },
    take: async (moment, { csv, skipBad, after }) => {
      const { rows, changes } = await readFile(csv);
      const bad = rows.filter(({ does }) => does === 'bad');
      if (bad.length > 0 && !skipBad)
        throw new Refusal({
          code: 'request.invalid',
          issues: bad.map(({ row, why }) => ({ path: `row ${row}`, message: why.join('; ') })),
        });
      const written = await lines.writer(moment, changes);
      const codes = await oneAtATime(moment.sequelize, async (transaction) => {
        await refuseChangedSince(after, transaction);
        return written(transaction);
      });
      return { written: changes.length, skipped: bad.length, codes: [...codes] };
    },
  };
}
