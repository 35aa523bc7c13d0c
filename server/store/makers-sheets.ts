import type { JobState } from '@dusk-wren/core/job';
import { makersSheet, sheetKey, type MakersSheet } from '@dusk-wren/core/valve';
import type { Transaction } from 'sequelize';
import { SheetRow } from './models';

/** The sheet on file for a model. */
export async function sheetFor(
  model: string | undefined,
  transaction: Transaction | null = null,
): Promise<MakersSheet | undefined> {
  if (model === undefined) return undefined;
  const row = await SheetRow.findByPk(sheetKey(model), { transaction });
  return row ? makersSheet.parse(JSON.parse(row.body)) : undefined;
}

/** A sheet typed on a job is used ever after: filed in the same transaction. */
export async function fileSheet(before: JobState, after: JobState, transaction: Transaction): Promise<void> {
  const filed = after.records['makers-sheet-filed'].at(-1);
  if (!filed || filed.seq <= before.version) return;
  const { sheet } = filed.body;
  await SheetRow.upsert({ model: sheetKey(sheet.model), body: JSON.stringify(sheet) }, { transaction });
}
