import { readLog, type Entry, type InstrumentId, type InstrumentKind } from '../job';
import { compared, type Compared } from '../plan';
import { ok, type Problem, type Result } from '../problem';
import type { Dimension } from '../quantity';
import { replay } from './replay';

/** What each kind of instrument reads; anything else that stands beside its readings it did not read. */
const READS: Readonly<Record<InstrumentKind, readonly Dimension[]>> = {
  'dial indicator': ['length'],
  'torque wrench': ['torque'],
  'test rig': ['gauge pressure', 'pressure difference'],
  gauge: ['gauge pressure', 'pressure difference'],
  caliper: ['length'],
  thermometer: ['temperature difference'],
  'voltage tester': ['voltage'],
  'gauge set': ['gauge pressure', 'pressure difference'],
};

/** What an instrument read in its days in doubt, and how far off it was found: a share, positive where it reads high. */
export interface InDoubt {
  readonly instrument: InstrumentId;
  readonly off: number;
  /** Days, the first and the last of them. */
  readonly since: string;
  readonly until: string;
}

/** What would stand otherwise on a job whose readings by one instrument were so far off. */
export interface ReadOtherwise extends Pick<Compared, 'calls' | 'more' | 'fewer' | 'undone'> {
  /** Readings that would not have been taken as they were: outside what their step takes. */
  readonly refused: readonly { readonly seq: number; readonly step: string; readonly problem: Problem }[];
}

/**
 * Weighs the readings of an instrument that was found off: each is taken for what was really there, and the job is judged
 * again. Temperatures, whose scales have an offset, are left as they were. Refused where no such reading can have been.
 */
export function readOtherwise(
  log: readonly Entry[],
  { instrument, off, since, until }: InDoubt,
): Result<ReadOtherwise> {
  const isOf = (entry: Entry) =>
    readerOf(entry) === instrument && entry.at.slice(0, 10) >= since && entry.at.slice(0, 10) <= until;
  const really = readLog(log.map((entry) => (isOf(entry) ? asItWas(entry, 1 / (1 + off)) : entry)));
  if (!really.ok) return really;
  const against = compared(log, really.value);
  if (!against.ok) return against;
  const before = new Set(replay(log, isOf).map(({ seq }) => seq));
  const refused = replay(really.value, isOf)
    .filter(({ seq, problem }) => !before.has(seq) && !FOLLOWS.has(problem.code))
    .map(({ seq, problem }) => ({ seq, step: stepOf(log, seq), problem }));
  const { calls, more, fewer, undone } = against.value;
  return ok({ calls, more, fewer, undone, refused });
}

/** What follows from another reading of the same job, not from this one. */
const FOLLOWS: ReadonlySet<Problem['code']> = new Set(['entry.unfounded', 'step.waits']);

function readerOf({ body }: Entry): InstrumentId | undefined {
  return 'readBy' in body && body.readBy !== 'hand' ? body.readBy.id : undefined;
}

function stepOf(log: readonly Entry[], seq: number): string {
  const body = log.find((entry) => entry.seq === seq)?.body;
  return body && 'step' in body ? body.step.title : '';
}

/** An entry with its instrument's own quantities so much larger, as JSON that is read again. */
function asItWas(entry: Entry, times: number): unknown {
  if (!('readBy' in entry.body) || entry.body.readBy === 'hand') return entry;
  return { ...entry, body: scaled(entry.body, READS[entry.body.readBy.kind], times) };
}

function scaled(value: unknown, dimensions: readonly string[], times: number): unknown {
  if (Array.isArray(value)) return value.map((each) => scaled(each, dimensions, times));
  if (typeof value !== 'object' || value === null) return value;
  if ('dimension' in value && 'value' in value && typeof value.value === 'number') {
    if (!dimensions.includes(String(value.dimension))) return value;
    // What was typed is what was read, not what was there.
    const { entered: _entered, ...rest } = { entered: undefined, ...value };
    return { ...rest, value: value.value * times };
  }
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [key, scaled(each, dimensions, times)]),
  );
}
