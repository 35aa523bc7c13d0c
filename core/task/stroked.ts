import { counts, type Screw } from '../job';
import { valueIn, type Quantity, type Ratio } from '../quantity';
import type { StepFacts } from './task-kind';

/** What is read off a valve on the bench: its gauges, and its travel as a share of the rated one. */
export const BENCH_GAUGES = ['supply', 'driven', 'other', 'travel'] as const;
export type BenchGauge = (typeof BENCH_GAUGES)[number];

/** What the travel at a share of the signal is called. */
export const travelReadAt = (percent: number): string => `travel at ${percent} % of the signal`;

/** One figure of a step, and where it is read. */
export interface StrokedRead {
  readonly what: string;
  readonly off: BenchGauge;
  /** The signal that is in, share of its range. */
  readonly at: Ratio;
}

/** A step that is read live off a valve that moves, and brought to its figures by screws. */
export interface Stroked {
  readonly kind: 'stroked';
  readonly reads: readonly StrokedRead[];
  readonly screws: readonly Screw[];
}

/** Readings of the same figures, with the turns of each screw since the ones before. */
export interface Round {
  readonly turned: Readonly<Partial<Record<Screw, number>>>;
  readonly read: ReadonlyMap<string, Quantity>;
}

/** Readings and turns of the whole job: what a screw does was learned wherever it was turned. */
const readOf = (whats: readonly string[], { state }: StepFacts) =>
  state.records.measured.filter(({ body }) => whats.includes(body.what) && counts(body.readBy));
const turnsOf = ({ state }: StepFacts) => state.records['screw-turned'];

/** Whether nothing was turned since: a turn moves everything but the supply. */
export function standsSinceTurn(
  reads: readonly StrokedRead[],
  facts: StepFacts,
  what: string,
  seq: number,
): boolean {
  const turned = facts.on('screw-turned').at(-1)?.seq ?? 0;
  return seq > turned || reads.find((read) => read.what === what)?.off === 'supply';
}

/** What these figures were, round by round, and what was turned in between: what a turn does is learned from them. */
export function roundsOf(whats: readonly string[], facts: StepFacts): readonly Round[] {
  const rounds: Round[] = [];
  let turned: Partial<Record<Screw, number>> = {};
  let read = new Map<string, Quantity>();
  for (const entry of [...readOf(whats, facts), ...turnsOf(facts)].sort((a, b) => a.seq - b.seq)) {
    if (entry.kind === 'screw-turned') {
      const { screw, by } = entry.body;
      turned = { ...turned, [screw]: (turned[screw] ?? 0) + valueIn(by, 'turn') };
      read = new Map();
    } else {
      read.set(entry.body.what, entry.body.value);
      if (read.size === whats.length) {
        rounds.push({ turned, read });
        turned = {};
        read = new Map();
      }
    }
  }
  return rounds;
}

/** Screws turned since the figures were last read: until they are read again nobody knows what that did. */
export function turnedSince(whats: readonly string[], facts: StepFacts): readonly Screw[] {
  const last = readOf(whats, facts).at(-1)?.seq ?? 0;
  return [...new Set(turnsOf(facts).flatMap(({ seq, body }) => (seq > last ? [body.screw] : [])))];
}
