import { filedSheet, plateNamesModel, type JobId, type JobState } from '@dusk-wren/core/job';
import { makersSheet, sheetKey, type MakersSheet } from '@dusk-wren/core/valve';
import type { Transaction } from 'sequelize';
import type { Change } from './change';
import { SheetRow } from './models';

/** The shop's sheet of a model: the one that was taken last. */
export async function sheetFor(
  model: string | undefined,
  transaction: Transaction | null = null,
): Promise<MakersSheet | undefined> {
  if (model === undefined) return undefined;
  const row = await SheetRow.findOne({
    where: { model: sheetKey(model) },
    order: [['id', 'DESC']],
    transaction,
  });
  return row ? makersSheet.parse(JSON.parse(row.body)) : undefined;
}

/**
 * A sheet typed on a job becomes the shop's
 * when a lead typed it or a second person has checked it, and the plate names its model; struck, the one before is back.
 */
export async function followSheet({ jobId, before, after, entries, transaction }: Change): Promise<void> {
  for (const entry of entries) {
    if (entry.kind === 'entry-struck') await strike(jobId, before, entry.body.entry, transaction);
    const sheet = filedSheet(after)?.filed.body.sheet;
    const taken =
      (entry.kind === 'makers-sheet-filed' && entry.by.role === 'lead') ||
      entry.kind === 'makers-sheet-checked';
    if (taken && sheet && plateNamesModel(after, sheet.model))
      await SheetRow.create(
        { model: sheetKey(sheet.model), body: JSON.stringify(sheet), jobId, seq: entry.seq },
        { transaction },
      );
  }
}

/** A sheet struck, or its check: neither makes it the shop's any more. */
async function strike(
  jobId: JobId,
  before: JobState,
  struck: number,
  transaction: Transaction,
): Promise<void> {
  const checks = before.records['makers-sheet-checked'].filter(({ body }) => body.filed === struck);
  await SheetRow.destroy({ where: { jobId, seq: [struck, ...checks.map(({ seq }) => seq)] }, transaction });
}
