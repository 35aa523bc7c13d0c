import { sheetKey } from '../valve';
import type { EntryOf } from './registry';
import { openingOf, type JobState } from './state';

export interface FiledSheet {
  readonly filed: EntryOf<'makers-sheet-filed'>;
  /** A second person has read it against the maker's paper. */
  readonly checked?: EntryOf<'makers-sheet-checked'>;
  /** It was the shop's already when the job was opened. */
  readonly fromShop: boolean;
}

/** The maker's sheet that stands on this job, and whether a second person has checked it. */
export function filedSheet(state: JobState): FiledSheet | undefined {
  const filed = state.records['makers-sheet-filed'].at(-1);
  if (!filed) return undefined;
  const checked = state.records['makers-sheet-checked'].findLast(({ body }) => body.filed === filed.seq);
  const fromShop = filed.commandId === openingOf(state)?.commandId;
  return checked ? { filed, checked, fromShop } : { filed, fromShop };
}

/** Whether the plate itself names the sheet's model: without that a sheet is this job's alone. */
export function plateNamesModel(state: JobState, model: string): boolean {
  const named = openingOf(state)?.body.valve.plate?.model;
  return named !== undefined && sheetKey(named) === sheetKey(model);
}
