import { stockPart, type ImportKind, type ImportPreview, type StockPart } from '@dusk-wren/contract/stock';
import { kitSheetSchema, type KitSheet } from '@dusk-wren/core/stock';
import type { Transaction } from 'sequelize';
import type { z } from 'zod';
import { allStock, findStock, listKits, putKits, putStock } from '../database/stock';
import { fromCsv, toCsv, type CsvRow } from './csv';

const PARTS = ['number', 'name', 'part', 'fits', 'material', 'elastomer', 'price', 'lead days'] as const;
const STOCK = ['number', 'bin', 'on hand', 'reorder at', 'cure date'] as const;
const KITS = [
  'sheet',
  'title',
  'construction',
  'line',
  'name',
  'part',
  'quantity',
  'kits',
  'fits',
  'elastomer',
] as const;

const HEADINGS: Readonly<Record<ImportKind, readonly string[]>> = { parts: PARTS, stock: STOCK, kits: KITS };

/** The store as a file: its parts list, what lies in the bins, or its kit sheets. */
export async function exportCsv(kind: ImportKind): Promise<string> {
  if (kind === 'kits') return toCsv(KITS, (await listKits()).flatMap(kitRows));
  const parts = await allStock();
  return kind === 'parts'
    ? toCsv(
        PARTS,
        parts.map((p) => [
          p.number,
          p.name,
          p.part,
          p.fits,
          p.material,
          p.elastomer ?? '',
          p.price,
          p.leadDays,
        ]),
      )
    : toCsv(
        STOCK,
        parts.map((p) => [p.number, p.bin, p.onHand, p.reorderAt, p.cureDate ?? '']),
      );
}

function kitRows(sheet: KitSheet): string[][] {
  return sheet.lines.map((line) => [
    sheet.number,
    sheet.title,
    sheet.construction,
    line.line,
    line.name,
    line.part,
    String(line.quantity),
    line.kits.join(' '),
    sheet.kits
      .filter(({ code }) => line.kits.includes(code))
      .map(
        ({ code, fits }) =>
          `${code}:${Object.entries(fits)
            .map(([path, value]) => `${path}=${String(value)}`)
            .join('&')}`,
      )
      .join(' | '),
    line.elastomer ?? '',
  ]);
}

interface Reading {
  readonly preview: ImportPreview;
  readonly parts: readonly StockPart[];
  readonly kits: readonly KitSheet[];
}

/** Reads a file as it would be taken, row by row; nothing is written. */
export async function readStoreFile(kind: ImportKind, csv: string): Promise<Reading> {
  const { rows, unreadable, wrong } = fromCsv(csv, HEADINGS[kind]);
  if (wrong.length > 0 || rows.length + unreadable.length === 0) {
    const why = wrong.length > 0 ? [...wrong] : ['The file has a heading and no rows.'];
    return {
      preview: { kind, good: 0, rows: [{ row: 1, key: '', does: 'bad', why }] },
      parts: [],
      kits: [],
    };
  }
  const bad = unreadable.map(({ row, why }) => ({ row, key: '', does: 'bad' as const, why: [why] }));
  // A kit sheet is taken whole: a row that cannot be read might be a line of any of them.
  if (kind === 'kits' && bad.length > 0)
    return { preview: { kind, good: 0, rows: bad }, parts: [], kits: [] };
  const { preview, parts, kits } = kind === 'kits' ? await readKits(rows) : await readParts(kind, rows);
  const said = [...preview.rows, ...bad].sort((a, b) => a.row - b.row);
  return { preview: { ...preview, rows: said }, parts, kits };
}

async function readParts(kind: 'parts' | 'stock', rows: readonly CsvRow[]): Promise<Reading> {
  const known = await findStock(rows.map(({ cells }) => cells['number'] ?? ''));
  const seen = new Set<string>();
  const parts: StockPart[] = [];
  const said = rows.map(({ row, cells }): ImportPreview['rows'][number] => {
    const key = cells['number'] ?? '';
    const old = known.get(key);
    if (seen.has(key)) return { row, key, does: 'bad', why: [`number: ${key} stands in this file twice`] };
    seen.add(key);
    if (kind === 'stock' && !old)
      return {
        row,
        key,
        does: 'bad',
        why: [`number: no part ${key || 'without a number'}; import the parts list first`],
      };
    const read = stockPart.safeParse(kind === 'parts' ? partFrom(cells, old) : { ...old, ...binFrom(cells) });
    if (!read.success) return { row, key, does: 'bad', why: reasons(read.error, cells) };
    parts.push(read.data);
    return {
      row,
      key,
      does: old ? (JSON.stringify(old) === JSON.stringify(read.data) ? 'same' : 'change') : 'new',
      why: [],
    };
  });
  return { preview: { kind, good: parts.length, rows: said }, parts, kits: [] };
}

const partFrom = (cells: CsvRow['cells'], old: StockPart | undefined) => ({
  number: cells['number'],
  name: cells['name'],
  part: cells['part'],
  fits: cells['fits'],
  material: cells['material'],
  ...(cells['elastomer'] ? { elastomer: cells['elastomer'] } : {}),
  price: number(cells['price']),
  leadDays: number(cells['lead days']),
  bin: old?.bin ?? '',
  onHand: old?.onHand ?? 0,
  reorderAt: old?.reorderAt ?? 0,
  ...(old?.cureDate === undefined ? {} : { cureDate: old.cureDate }),
});

const binFrom = (cells: CsvRow['cells']) => ({
  bin: cells['bin'],
  onHand: number(cells['on hand']),
  reorderAt: number(cells['reorder at']),
  ...(cells['cure date'] ? { cureDate: cells['cure date'] } : {}),
});

/** A number as people write one, its decimal comma too; what is none stays as it is, to be refused by name. */
function number(cell: string | undefined): unknown {
  const text = (cell ?? '').replace(/^(\d+),(\d+)$/, '$1.$2');
  return /^-?\d+(\.\d+)?$/.test(text) ? Number(text) : cell;
}

async function readKits(rows: readonly CsvRow[]): Promise<Reading> {
  const known = new Map((await listKits()).map((sheet) => [sheet.number, JSON.stringify(sheet)]));
  const sheets = new Map<string, CsvRow[]>();
  for (const each of rows) {
    const key = each.cells['sheet'] ?? '';
    const lines = sheets.get(key);
    if (lines) lines.push(each);
    else sheets.set(key, [each]);
  }
  const kits: KitSheet[] = [];
  const said = [...sheets].flatMap(([key, lines]): ImportPreview['rows'] => {
    const read = kitSheetSchema.safeParse(sheetFrom(key, lines));
    if (read.success) {
      kits.push(read.data);
      const does = known.has(key)
        ? known.get(key) === JSON.stringify(read.data)
          ? 'same'
          : 'change'
        : 'new';
      return lines.map(({ row, cells }) => ({ row, key: `${key} ${cells['line'] ?? ''}`, does, why: [] }));
    }
    const ofLine = new Map<unknown, typeof read.error.issues>();
    for (const issue of read.error.issues) {
      const line = issue.path[0] === 'lines' ? issue.path[1] : undefined;
      ofLine.set(line, [...(ofLine.get(line) ?? []), issue]);
    }
    const whole = ofLine.get(undefined) ?? [];
    return lines.map(({ row, cells }, i) => {
      const own = ofLine.get(i) ?? [];
      const why = [...own, ...(i === 0 ? whole : [])].map(
        ({ path, message }) => `${String(path.at(-1) ?? 'sheet')}: ${message}`,
      );
      return {
        row,
        key: `${key} ${cells['line'] ?? ''}`,
        does: 'bad' as const,
        why: why.length > 0 ? why : ['another line of its sheet is bad: a sheet is taken whole'],
      };
    });
  });
  return {
    preview: { kind: 'kits', good: kits.reduce((sum, { lines }) => sum + lines.length, 0), rows: said },
    parts: [],
    kits,
  };
}

function sheetFrom(key: string, rows: readonly CsvRow[]) {
  const [first] = rows;
  const kits = new Map<string, Record<string, string | boolean>>();
  for (const { cells } of rows) {
    for (const code of (cells['kits'] ?? '').split(/\s+/).filter(Boolean))
      if (!kits.has(code)) kits.set(code, {});
    for (const each of (cells['fits'] ?? '')
      .split('|')
      .map((text) => text.trim())
      .filter(Boolean)) {
      const [code = '', conditions = ''] = each.split(/:(.*)/s);
      kits.set(code, Object.fromEntries(conditions.split('&').filter(Boolean).map(condition)));
    }
  }
  return {
    number: key,
    title: first?.cells['title'] ?? '',
    construction: first?.cells['construction'] ?? '',
    kits: [...kits].map(([code, fits]) => ({ code, fits })),
    lines: rows.map(({ cells }) => ({
      line: cells['line'],
      name: cells['name'],
      part: cells['part'],
      quantity: number(cells['quantity']),
      kits: (cells['kits'] ?? '').split(/\s+/).filter(Boolean),
      ...(cells['elastomer'] ? { elastomer: cells['elastomer'] } : {}),
    })),
  };
}

function condition(text: string): [string, string | boolean] {
  const [path = '', value = ''] = text.split('=');
  return [path, value === 'true' ? true : value === 'false' ? false : value];
}

const COLUMN: Readonly<Record<string, string>> = {
  leadDays: 'lead days',
  onHand: 'on hand',
  reorderAt: 'reorder at',
  cureDate: 'cure date',
};

function reasons(error: z.ZodError, cells: CsvRow['cells']): string[] {
  return error.issues.map(({ path, message }) => {
    const field = String(path[0] ?? '');
    const column = COLUMN[field] ?? field;
    return `${column}: “${cells[column] ?? ''}”: ${message}`;
  });
}

/** Writes what was read, all in one transaction. */
export async function writeRead({ parts, kits }: Reading, transaction: Transaction): Promise<void> {
  await putStock(parts, transaction);
  await putKits(kits, transaction);
}
