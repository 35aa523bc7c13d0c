import { counts } from '../job';
import { si, type Quantity } from '../quantity';
import type { MeasureAsk } from './measure-ask';
import { sinceReset, type Live } from './pops';
import type { Shown } from './shown';
import type { TaskKind } from './task-kind';

export interface MeasureTask {
  readonly kind: 'measure';
  readonly asks: readonly MeasureAsk[];
  /** The working behind what is wanted. */
  readonly shown?: Shown;
  /** Read live from an instrument, and brought to its aim by a screw. */
  readonly live?: Live;
  /** Readings that must agree: no further apart than this. */
  readonly agree?: { readonly what: readonly string[]; readonly within: Quantity };
}

export const measureTask: TaskKind<MeasureTask> = {
  finishedBy: (task, facts) => {
    const { asks } = task;
    const counted = facts.on('measured').filter(({ body }) => counts(body.readBy));
    const entries = sinceReset(task, facts, counted);
    const latest = asks.map((ask) => ({
      ask,
      entry: entries.findLast(({ body }) => body.what === ask.what),
    }));
    const taken = latest.flatMap(({ ask, entry }) => (entry && meets(ask, entry.body.value) ? [entry] : []));
    const values = new Map(taken.map(({ body }) => [body.what, body.value]));
    const isWhole = taken.length === asks.length && !apartBy(task, values);
    const last = isWhole ? taken.sort((a, b) => a.seq - b.seq).at(-1) : undefined;
    return last ?? (facts.optional ? facts.byHand() : undefined);
  },
  plainly: ({ asks }, { step, reading, instrument }) =>
    asks.map((ask) => {
      const value = reading(ask);
      const readBy = instrument(ask.instrument === 'gauge' ? 'gauge' : 'caliper');
      const watched = ask.mustBe !== undefined && ask.instrument === 'gauge' && readBy !== 'hand';
      return {
        kind: 'take-measurement',
        body: { step, what: ask.what, value, readBy, ...(watched ? { watched: stoodAt(value) } : {}) },
      };
    }),
  wantsByHand: ({ asks }) => asks.map(({ what }) => what).join(', '),
};

/** A gauge that has settled, as it was watched. */
const stoodAt = (reads: string) => Array.from({ length: 7 }, (_, i) => ({ after: `${i} s`, reads }));

/** A pressure reading of less than this is zero on a gauge; so is a volt on a tester (common practice). */
const ZERO: Partial<Record<Quantity['dimension'], number>> = { 'gauge pressure': 2000, voltage: 1 };

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

/** Two readings of one thing differ by no more than this when nothing has moved (common practice). */
const SAME: Partial<Record<Quantity['dimension'], number>> = { length: 0.0004, angle: Math.PI / 4, count: 0 };

/** Whether a figure that is taken again stands as it stood: by what two readings of it may differ, else by a twentieth. */
export function standsAs(was: Quantity, now: Quantity): boolean {
  const within = SAME[was.dimension] ?? 0.05 * Math.abs(si(was));
  return Math.abs(si(now) - si(was)) <= within + 1e-9;
}

/** What lies outside by less than this share is the rounding of a unit. */
const ROUNDING = 1e-6;

/** Whether a reading is what the step asks for; any reading will do where it asks for none in particular. */
export function meets({ mustBe }: MeasureAsk, value: Quantity): boolean {
  if (mustBe === undefined) return true;
  if (mustBe === 'zero') return Math.abs(si(value)) <= (ZERO[value.dimension] ?? 0);
  if ('below' in mustBe) return si(value) < si(mustBe.below);
  const [from, to] = [si(mustBe.from), si(mustBe.to)];
  const slack = ROUNDING * Math.abs(to);
  return si(value) >= from - slack && si(value) <= to + slack;
}
