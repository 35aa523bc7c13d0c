import { ok, refuse, type Result } from '../problem';
import { withDetails, type Valve } from '../valve';
import { frozen } from './frozen';
import { EVENTS, type Entry, type EntryOf, type EventKind, type StepEventKind } from './registry';

type Records = { readonly [K in EventKind]: readonly EntryOf<K>[] };

/** A job: every fact that stands, by kind, in the order it happened. Struck facts are gone from it, not from the log. */
export interface JobState {
  /** Sequence number of the last entry folded in. */
  readonly version: number;
  readonly records: Records;
  /** Entries struck, with the entry that struck them. */
  readonly struck: Readonly<Record<number, number>>;
}

const NOTHING = Object.freeze(
  Object.fromEntries(Object.keys(EVENTS).map((kind) => [kind, Object.freeze([])])),
) as unknown as Records;

export const EMPTY_JOB: JobState = Object.freeze({ version: 0, records: NOTHING, struck: Object.freeze({}) });

/**
 * Folds one entry in. Each kind is kept as the fact it is; what follows from the facts (calls, plan, certificate)
 * is computed from them and never stored, so striking a fact undoes all of its consequences.
 */
export function apply(state: JobState, entry: Entry): Result<JobState> {
  if (entry.seq !== state.version + 1) {
    return refuse({ code: 'event.out-of-order', expected: state.version + 1, found: entry.seq });
  }
  const kept: Records = {
    ...state.records,
    [entry.kind]: Object.freeze([...state.records[entry.kind], frozen(entry)]),
  };
  const next: JobState =
    entry.kind === 'entry-struck'
      ? {
          version: entry.seq,
          records: without(kept, entry.body.entry),
          struck: Object.freeze({ ...state.struck, [entry.body.entry]: entry.seq }),
        }
      : { version: entry.seq, records: Object.freeze(kept), struck: state.struck };
  return ok(Object.freeze(next));
}

function without(records: Records, seq: number): Records {
  const kinds = Object.entries(records).map(([kind, entries]): [string, readonly Entry[]] => [
    kind,
    entries.filter((entry) => entry.seq !== seq),
  ]);
  return Object.freeze({ ...records, ...Object.fromEntries(kinds) });
}

/** Folds a log, or the part of one that follows `from`. */
export function fold(entries: readonly Entry[], from: JobState = EMPTY_JOB): Result<JobState> {
  let state = from;
  for (const entry of entries) {
    const next = apply(state, entry);
    if (!next.ok) return next;
    state = next.value;
  }
  return ok(state);
}

/** What the job was opened with; undefined before it is open. */
export function openingOf(state: JobState): EntryOf<'job-opened'> | undefined {
  return state.records['job-opened'][0];
}

/** The valve with everything learnt since it was received. */
export function valveOf(state: JobState): Valve | undefined {
  const opening = openingOf(state);
  if (!opening) return undefined;
  const sheet = state.records['makers-sheet-filed'].at(-1)?.body.sheet;
  const known = state.records['valve-identified'].reduce(
    (valve, { body }) => withDetails(valve, body.details),
    opening.body.valve,
  );
  return sheet ? { ...known, sheet } : known;
}

/** The standing facts wanted, all of them unless told, in order. */
export function standingEntries(state: JobState, wanted: (entry: Entry) => boolean = () => true): Entry[] {
  return Object.values(state.records)
    .flatMap((entries): readonly Entry[] => entries.filter(wanted))
    .sort((a, b) => a.seq - b.seq);
}

/** The format each kind is written in today. */
export const formatOf = (kind: EventKind): number => EVENTS[kind].format;

/** The facts of a kind that stand on a step, in order. */
export function onStep<K extends StepEventKind>(
  { records }: Pick<JobState, 'records'>,
  kind: K,
  step: string,
): readonly EntryOf<K>[] {
  const entries: readonly EntryOf<K>[] = records[kind];
  return entries.length === 0 ? entries : (byStep(entries).get(step) ?? NONE);
}

const NONE: readonly never[] = Object.freeze([]);

/** Facts by their step, worked out once: lists of facts never change. */
const indexed = new WeakMap<readonly Entry[], ReadonlyMap<string, readonly Entry[]>>();
function byStep<E extends Entry>(entries: readonly E[]): ReadonlyMap<string, readonly E[]> {
  const known = indexed.get(entries);
  if (known) return known as ReadonlyMap<string, readonly E[]>;
  const steps = new Map<string, E[]>();
  for (const entry of entries) {
    const step = stepIdOf(entry);
    if (step === undefined) continue;
    const own = steps.get(step);
    if (own) own.push(entry);
    else steps.set(step, [entry]);
  }
  indexed.set(entries, steps);
  return steps;
}

/** The step that an entry is a fact of. */
export const stepIdOf = ({ body }: Pick<Entry, 'body'>): string | undefined =>
  'step' in body ? body.step.id : undefined;
