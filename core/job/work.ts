import type { PersonId } from './ids';
import { EVENTS } from './registry';
import { standingEntries, type JobState } from './state';

/** Whether a person's work stands in this log: then another releases its holds and signs its certificate. */
export const didWork = (state: JobState, person: PersonId): boolean =>
  standingEntries(state).some(({ by, kind }) => by.id === person && EVENTS[kind].isWork);
