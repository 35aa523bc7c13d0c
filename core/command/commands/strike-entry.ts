import { z } from 'zod';
import { standingEntries, type Entry } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand } from '../define-command';

/** Entries a hold does not rest on. */
const NO_WORK: readonly Entry['kind'][] = ['note-added', 'person-assigned', 'working-attached'];

/** A correction: the entry stays in the log and no longer stands. A hold released after it is asked for again. */
export const strikeEntry = defineCommand({
  kind: 'strike-entry',
  body: z.strictObject({ entry: z.int().positive(), reason: z.string().trim().min(3).max(400) }),
  decide: ({ entry: seq, reason }, { state, person }) => {
    const standing = standingEntries(state);
    const entry = standing.find((each) => each.seq === seq);
    if (!entry) return refuse({ code: 'entry.unknown', seq });
    if (entry.kind === 'job-opened' || entry.kind === 'entry-struck') {
      return refuse({
        code: 'entry.fixed',
        seq,
        why:
          entry.kind === 'job-opened'
            ? 'the job begins with it'
            : 'a correction is corrected by making the entry again',
      });
    }
    if (entry.by.id !== person.id && person.role === 'technician') {
      return refuse({
        code: 'entry.fixed',
        seq,
        why: `${entry.by.name} made it: that person, a lead or an inspector may strike it`,
      });
    }
    const stale = standing.filter(
      (each) => each.kind === 'hold-released' && each.seq > seq && !NO_WORK.includes(entry.kind),
    );
    return ok([
      { kind: 'entry-struck', body: { entry: seq, reason } },
      ...stale.map((hold) => ({
        kind: 'entry-struck' as const,
        body: { entry: hold.seq, reason: `released on entry ${seq}, which was struck` },
      })),
    ]);
  },
});
