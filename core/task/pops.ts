import { counts, type EntryOf, type Screw } from '../job';
import {
  quantity,
  valueIn,
  type Angle,
  type Area,
  type Force,
  type GaugePressure,
  type Length,
  type Torque,
} from '../quantity';
import type { MeasureAsk } from './measure-ask';
import { meets } from './meets';
import { standsAs } from './stands-as';
import type { StepFacts } from './task-kind';

/** A lever with its weight, as it was measured. */
export interface LeverFigures {
  readonly diaphragmArea: Area;
  readonly shortArm: Length;
  readonly weight: Force;
  readonly leverMoment: Torque;
}

/** A step that is read live: what of the curve is which figure, and the screw that brings it to its aim. */
export interface Pops {
  readonly kind: 'pops';
  readonly aim: GaugePressure;
  /** The figures that a pop gives, one after the other; the last so many must agree. */
  readonly pops: readonly string[];
  readonly reseat: string;
  readonly simmer?: string;
  /** What it is set by, where it may be turned here: a screw, or a weight on its lever. */
  readonly screw?: Screw;
  readonly weight?: { readonly place: string; readonly lever: LeverFigures };
}

/** A step as far as its pops go. */
interface Popped {
  readonly asks: readonly MeasureAsk[];
}

type Measured = EntryOf<'measured'>;

/** Readings by an instrument that may be relied on, or by eye. */
const countedOn = (facts: StepFacts): readonly Measured[] =>
  facts.on('measured').filter(({ body }) => counts(body.readBy));

/** What still counts: nothing from before the screw was turned, nothing up to a pop that was out of tolerance. */
export function sinceReset(
  { asks }: Popped,
  live: Pops,
  facts: StepFacts,
  entries: readonly Measured[],
): readonly Measured[] {
  const turned = facts.on('screw-turned').at(-1)?.seq ?? 0;
  const off = entries.findLast(({ body }) => {
    const ask = asks.find(({ what }) => what === body.what);
    return ask && live.pops.includes(body.what) && !meets(ask, body.value);
  });
  const from = Math.max(turned, off?.seq ?? 0, movedAt(live, facts) - 1);
  return entries.filter(({ seq }) => seq > from);
}

/** When its weight was moved last: put anywhere else than it stood. 0 where it never was. */
export function movedAt({ weight }: Pops, { state }: StepFacts): number {
  if (!weight) return 0;
  const placed = state.records.measured.filter(({ body }) => body.what === weight.place);
  const moved = placed.findLast(({ body }, i) => {
    const was = placed[i - 1]?.body.value;
    return was !== undefined && !standsAs(was, body.value);
  });
  return moved?.seq ?? 0;
}

/** The figure that the next pop is kept as: each of them in turn, from the first again after a reset. */
export function nextPop(task: Popped, live: Pops, facts: StepFacts): string {
  const counted = sinceReset(task, live, facts, countedOn(facts)).filter(({ body }) =>
    live.pops.includes(body.what),
  );
  return live.pops[counted.length % live.pops.length] ?? '';
}

/** The last pop, and where the screw was turned since the one before it: what the turn did is learned from these. */
export interface Turned {
  readonly read: GaugePressure;
  readonly before?: { readonly read: GaugePressure; readonly turned: Angle };
}

export function lastTurned({ pops }: Pops, facts: StepFacts): Turned | undefined {
  const read = countedOn(facts).filter(({ body }) => pops.includes(body.what));
  const turns = facts.on('screw-turned');
  const last = read.at(-1);
  if (last?.body.value.dimension !== 'gauge pressure') return undefined;
  const now = asPressure(last);
  // Turned after the last pop: nothing is known until it pops again.
  const turnedAt = turns.findLast(({ seq }) => seq < last.seq)?.seq;
  const before = turnedAt === undefined ? undefined : read.findLast(({ seq }) => seq < turnedAt);
  if (!before) return { read: now };
  const between = turns.filter(({ seq }) => seq > before.seq && seq < last.seq);
  return {
    read: now,
    before: { read: asPressure(before), turned: turnsOf(between) },
  };
}

/** How far the screw has been turned since the last pop: until it pops again nobody knows what that did. */
export function turnedSincePop({ pops }: Pops, facts: StepFacts): Angle | undefined {
  const last = countedOn(facts).findLast(({ body }) => pops.includes(body.what))?.seq ?? 0;
  const turned = turnsOf(facts.on('screw-turned').filter(({ seq }) => seq > last));
  return valueIn(turned, 'turn') === 0 ? undefined : turned;
}

const turnsOf = (turns: readonly EntryOf<'screw-turned'>[]): Angle =>
  quantity(
    'angle',
    turns.reduce((sum, { body }) => sum + valueIn(body.by, 'turn'), 0),
    'turn',
  );

const asPressure = ({ body: { value } }: Measured): GaugePressure => ({
  ...value,
  dimension: 'gauge pressure',
});
