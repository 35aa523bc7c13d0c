import { counts, type EntryOf } from '../job';
import { si, type Quantity } from '../quantity';
import type { MeanOf, MeasureAsk } from './measure-ask';
import { meansOf } from './means';
import { meets, ROUNDING } from './meets';
import type { Live } from './live';
import { sinceReset } from './pops';
import type { Shown } from './shown';
import { standsSinceTurn } from './stroked';
import type { StepFacts, TaskKind } from './task-kind';

export interface MeasureTask {
  readonly kind: 'measure';
  readonly asks: readonly MeasureAsk[];
  /** The working behind what is wanted. */
  readonly shown?: Shown;
  /** Read live from an instrument, and brought to its aim by a screw. */
  readonly live?: Live;
  /** Read by somebody else than whoever read that step. */
  readonly otherThan?: string;
  /** What readings taken both ways make together. */
  readonly means?: readonly MeanOf[];
  /** Readings that must agree: no further apart than this. */
  readonly agree?: { readonly what: readonly string[]; readonly within: Quantity };
}

export const measureTask: TaskKind<MeasureTask> = {
  finishedBy: (task, facts) => {
    const { asks } = task;
    const counted = facts.on('measured').filter(({ body }) => counts(body.readBy));
    const entries = stillStanding(task, facts, counted);
    const latest = asks.map((ask) => ({
      ask,
      entry: entries.findLast(({ body }) => body.what === ask.what),
    }));
    const taken = latest.flatMap(({ ask, entry }) => (entry && meets(ask, entry.body.value) ? [entry] : []));
    const values = new Map(taken.map(({ body }) => [body.what, body.value]));
    const isWhole =
      taken.length === asks.length &&
      !apartBy(task, values) &&
      meansOf(task, values).every(({ mean, value }) => meets(mean, value));
    const last = isWhole ? taken.sort((a, b) => a.seq - b.seq).at(-1) : undefined;
    return last ?? (facts.optional ? facts.byHand() : undefined);
  },
  plainly: ({ asks, otherThan }, { step, reading, instrument }) =>
    asks.map((ask) => {
      const value = reading(ask);
      const readBy = instrument(ask.instrument === 'gauge' ? 'gauge' : 'caliper');
      const watched = ask.mustBe !== undefined && ask.instrument === 'gauge' && readBy !== 'hand';
      return {
        kind: 'take-measurement',
        ...(otherThan === undefined ? {} : { by: 'second technician' as const }),
        body: { step, what: ask.what, value, readBy, ...(watched ? { watched: stoodAt(value) } : {}) },
      };
    }),
  wantsByHand: ({ asks }) => asks.map(({ what }) => what).join(', '),
};

/** Readings that count still: what is read live does not outlast a turn of its screw. */
function stillStanding(
  task: MeasureTask,
  facts: StepFacts,
  entries: readonly EntryOf<'measured'>[],
): readonly EntryOf<'measured'>[] {
  const { live } = task;
  if (!live) return entries;
  if (live.kind === 'pops') return sinceReset(task, live, facts, entries);
  const reads = live.kind === 'stroked' ? live.reads : [];
  return entries.filter(({ seq, body }) => standsSinceTurn(reads, facts, body.what, seq));
}

/** A gauge that has settled, as it was watched. */
const stoodAt = (reads: string) => Array.from({ length: 7 }, (_, i) => ({ after: `${i} s`, reads }));

/** How far readings that must agree are apart, where it is too far. */
export function apartBy(
  { agree }: Pick<MeasureTask, 'agree'>,
  values: ReadonlyMap<string, Quantity>,
): Quantity | undefined {
  const taken = (agree?.what ?? []).flatMap((what) => values.get(what) ?? []).map((value) => si(value));
  if (!agree || taken.length < 2) return undefined;
  const apart = Math.max(...taken) - Math.min(...taken);
  const share = apart / si(agree.within);
  return share > 1 + ROUNDING ? { ...agree.within, value: agree.within.value * share } : undefined;
}
