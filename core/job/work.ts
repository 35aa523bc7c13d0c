import type { PersonId } from './ids';
import type { Entry } from './registry';
import { standingEntries, type JobState } from './state';

/** What a person may put into a log without having worked on the valve. */
const NOT_WORK: readonly Entry['kind'][] = [
  'hold-released',
  'note-added',
  'working-attached',
  'person-assigned',
  'job-opened',
  'job-imported',
  'entry-struck',
  'call-overruled',
  'isolation-signed',
  'makers-sheet-checked',
];

/** Whether a person's work stands in this log: then another releases its holds and signs its certificate. */
export const didWork = (state: JobState, person: PersonId): boolean =>
  standingEntries(state).some((entry) => entry.by.id === person && !NOT_WORK.includes(entry.kind));
