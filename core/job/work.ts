import type { PersonId } from './ids';
import { EVENTS } from './registry';
import { standingEntries, type JobState } from './state';

/** Whether a person's work stands in this log: then another releases its holds and signs its certificate. */
export const didWork = (state: JobState, person: PersonId): boolean =>
  standingEntries(state).some(
    (entry) =>
      entry.by.id === person &&
      EVENTS[entry.kind].isWork &&
      !(entry.kind === 'step-done' && entry.body.asAuthority),
  );
