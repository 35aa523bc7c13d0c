import type { Entry, EntryOf } from './registry';
import { standingEntries, type JobState } from './state';

/** Entries that no release rests on. */
const NOT_RESTED_ON: readonly Entry['kind'][] = ['note-added', 'person-assigned', 'working-attached'];

/** Whether a signature on an isolation covers this entry: a line, a lock, a reading or a step of the same stage. */
function covers({ body, seq }: EntryOf<'isolation-signed'>, entry: Entry): boolean {
  return (
    entry.kind !== 'isolation-signed' &&
    entry.seq < seq &&
    'step' in entry.body &&
    entry.body.step.stage === body.step.stage
  );
}

/**
 * What falls when an entry is struck: holds that were released on it and signatures on an isolation that cover it.
 * Whoever strikes is told before, and the log says it after.
 */
export function fallsWith(state: JobState, struck: Entry): Entry[] {
  return standingEntries(state, (entry) =>
    entry.kind === 'hold-released'
      ? entry.seq > struck.seq && !NOT_RESTED_ON.includes(struck.kind)
      : entry.kind === 'isolation-signed' && covers(entry, struck),
  );
}
