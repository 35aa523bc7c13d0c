import { standingEntries, type InstrumentStamp, type JobState, type PersonStamp } from '../job';

/** Instruments that something on this job was read with. */
export function instrumentsIn(state: JobState): InstrumentStamp[] {
  const used = new Map<string, InstrumentStamp>();
  for (const { body } of standingEntries(state)) {
    if ('readBy' in body && body.readBy !== 'hand') used.set(body.readBy.id, body.readBy);
  }
  return [...used.values()];
}

const entries = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`;

/** Who had a hand in it, and what they did. */
export function peopleIn(state: JobState): { name: string; role: string; did: string }[] {
  const people = new Map<string, { person: PersonStamp; count: number; holds: number }>();
  for (const entry of standingEntries(state)) {
    const so = people.get(entry.by.id) ?? { person: entry.by, count: 0, holds: 0 };
    people.set(entry.by.id, {
      ...so,
      count: so.count + 1,
      holds: so.holds + (entry.kind === 'hold-released' ? 1 : 0),
    });
  }
  return [...people.values()].map(({ person, count, holds }) => ({
    name: person.name,
    role: person.role,
    did:
      holds > 0
        ? `${entries(count)}, ${holds} of them ${holds === 1 ? 'a hold' : 'holds'} released`
        : entries(count),
  }));
}
