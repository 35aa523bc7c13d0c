import { stockImportView, type ImportKind, type StockImport } from '@dusk-wren/contract/stock';
import { personStamp, type PersonStamp } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { StockImportRow } from './models';

const SHOWN = 20;

const viewOf = (row: StockImportRow): StockImport =>
  stockImportView.parse({
    id: row.id,
    kind: row.kind,
    by: personStamp.parse(JSON.parse(row.person)).name,
    at: row.at.toISOString(),
    written: row.written,
    skipped: row.skipped,
  });

/** Files that were brought into the store, the last first. */
export async function listImports(): Promise<StockImport[]> {
  return (await StockImportRow.findAll({ order: [['id', 'DESC']], limit: SHOWN })).map(viewOf);
}

interface Brought {
  readonly kind: ImportKind;
  readonly person: PersonStamp;
  readonly at: string;
  readonly file: string;
  readonly written: number;
  readonly skipped: number;
  /** The last import of this kind that whoever sends the file has seen. */
  readonly after: number;
}

/** Writes down who brought a file in; refused when another one came since the preview was made. */
export async function keepImport(
  { after, person, at, ...file }: Brought,
  transaction: Transaction,
): Promise<void> {
  const last = await StockImportRow.findOne({
    where: { kind: file.kind },
    order: [['id', 'DESC']],
    lock: transaction.LOCK.UPDATE,
    transaction,
  });
  if (last && last.id > after) {
    const { by, at: then } = viewOf(last);
    throw new Refusal({ code: 'store.changed', by, at: then.slice(0, 16).replace('T', ' ') });
  }
  await StockImportRow.create({ ...file, person: JSON.stringify(person), at: new Date(at) }, { transaction });
}
