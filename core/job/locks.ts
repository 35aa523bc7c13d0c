import type { EntryOf } from './registry';
import type { JobState } from './state';

/** Locks that hang now. */
export function hangingLocks(state: JobState): EntryOf<'lock-hung'>[] {
  const off = state.records['lock-removed'];
  return state.records['lock-hung'].filter(
    (hung) => !off.some((gone) => gone.seq > hung.seq && gone.body.point === hung.body.point),
  );
}
