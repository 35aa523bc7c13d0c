import { z } from 'zod';
import { fallsWith, hangingLocks, standingEntries, type Entry } from '../../job';
import { ok, refuse, type Result } from '../../problem';
import { defineCommand, type Asked } from '../define-command';

/** A correction: the entry stays in the log and no longer stands. Holds and signatures that rest on it fall with it. */
export const strikeEntry = defineCommand({
  kind: 'strike-entry',
  body: z.strictObject({ entry: z.int().positive(), reason: z.string().trim().min(3).max(400) }),
  decide: ({ entry: seq, reason }, asked) => {
    const entry = standingEntries(asked.state, (each) => each.seq === seq)[0];
    if (!entry) return refuse({ code: 'entry.unknown', seq });
    const may = mayStrike(entry, asked);
    if (!may.ok) return may;
    return ok([
      { kind: 'entry-struck', body: { entry: seq, reason } },
      ...fallsWith(asked.state, entry).map((fallen) => ({
        kind: 'entry-struck' as const,
        body: {
          entry: fallen.seq,
          reason: `${fallen.kind === 'hold-released' ? 'released' : 'signed'} on entry ${seq}, which was struck`,
        },
      })),
    ]);
  },
});

/** One's own, or anybody's for a lead or an inspector; a lock that hangs only by whoever may take it off. */
function mayStrike(entry: Entry, { state, person }: Asked): Result<true> {
  const { seq, by } = entry;
  const own = by.id === person.id;
  switch (entry.kind) {
    case 'job-opened':
      return refuse({ code: 'entry.fixed', seq, why: 'the job begins with it' });
    case 'job-imported':
      return refuse({ code: 'entry.fixed', seq, why: 'where a job came from stays with it' });
    case 'entry-struck':
      return refuse({ code: 'entry.fixed', seq, why: 'a correction is corrected by making the entry again' });
    case 'lock-hung':
      if (hangingLocks(state).some((hung) => hung.seq === seq) && !own && person.role !== 'lead')
        return refuse({ code: 'lock.not-yours', lock: entry.body.lock, owner: by.name });
      break;
    default:
  }
  return own || person.role !== 'technician'
    ? ok(true)
    : refuse({
        code: 'entry.fixed',
        seq,
        why: `${by.name} made it: that person, a lead or an inspector may strike it`,
      });
}
