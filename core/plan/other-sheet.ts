import { fold, type Entry } from '../job';
import type { Result } from '../problem';
import type { MakersSheet } from '../valve';
import { compared, type Compared } from './compared';

/** What a job would be by this sheet of its maker's. The job itself keeps the one that it has, or goes without. */
export function byOtherSheet(log: readonly Entry[], sheet: MakersSheet): Result<Compared> {
  const state = fold(log);
  if (!state.ok) return state;
  const filed = state.value.records['makers-sheet-filed'].at(-1);
  const last = log.at(-1);
  if (filed) {
    const other: Entry = { ...filed, body: { sheet } };
    return compared(
      log,
      log.map((entry) => (entry.seq === filed.seq ? other : entry)),
    );
  }
  if (!last) return compared(log, log);
  const { by, at, commandId } = last;
  const besides: Entry = {
    ...{ seq: last.seq + 1, by, at, commandId, format: 1 },
    ...{ kind: 'makers-sheet-filed', body: { sheet } },
  };
  return compared(log, [...log, besides]);
}
