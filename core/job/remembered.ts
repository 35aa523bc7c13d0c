import { isEventKind, type Entry, type EventKind } from './registry';
import type { JobState } from './state';

/** What a piece of work looked at in a state. */
interface Reads {
  readonly records: Map<EventKind, readonly Entry[]>;
  readonly version: Set<number>;
  readonly struck: Set<JobState['struck']>;
}

/** The same state, which notes what is looked at in it. */
function watched(state: JobState, reads: Reads): JobState {
  const records = new Proxy(state.records, {
    get: (facts, kind) => {
      if (typeof kind !== 'string' || !isEventKind(kind)) return undefined;
      reads.records.set(kind, facts[kind]);
      return facts[kind];
    },
  });
  return {
    records,
    get version() {
      reads.version.add(state.version);
      return state.version;
    },
    get struck() {
      reads.struck.add(state.struck);
      return state.struck;
    },
  };
}

const standsAs = ({ records, version, struck }: Reads, state: JobState): boolean =>
  [...records].every(([kind, facts]) => state.records[kind] === facts) &&
  [...version].every((each) => each === state.version) &&
  [...struck].every((each) => each === state.struck);

/**
 * The same work, done anew only when something that it looked at has changed: facts of a kind stay the same list until one
 * of that kind is added or struck. The last answer of each job is kept as long as the job is.
 */
export function rememberedByReads<T>(work: (state: JobState) => T): (state: JobState) => T {
  const known = new WeakMap<readonly Entry[], { readonly reads: Reads; readonly answer: T }>();
  return (state) => {
    const job = state.records['job-opened'];
    const before = known.get(job);
    if (before && standsAs(before.reads, state)) return before.answer;
    const reads: Reads = { records: new Map(), version: new Set(), struck: new Set() };
    const answer = work(watched(state, reads));
    known.set(job, { reads, answer });
    return answer;
  };
}
