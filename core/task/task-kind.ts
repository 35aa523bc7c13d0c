import type { Line } from '../isolation';
import type {
  Entry,
  EntryOf,
  InstrumentId,
  InstrumentKind,
  JobState,
  PressureTest,
  Role,
  StepEventKind,
} from '../job';
import { onStep } from '../job';
import type { Angle, GaugePressure, Leak, LeakCount, Torque } from '../quantity';
import type { Finding } from '../inspection';
import type { PartRole, Valve } from '../valve';
import type { MeasureAsk } from './measure-ask';

/** A step’s own facts, and those of its job. */
export class StepFacts {
  constructor(
    readonly state: JobState,
    readonly id: string,
    /** It may be passed over as not needed. */
    readonly optional: boolean,
  ) {}

  /** Facts of a kind on this step, in order. */
  on<K extends StepEventKind>(kind: K): readonly EntryOf<K>[] {
    return onStep(this.state, kind, this.id);
  }

  /** Done by hand, or passed over. */
  byHand(): Entry | undefined {
    return this.on('step-done').at(-1);
  }
}

/** A command as it is sent, before it is read: which person’s it is, where it is not whoever works. */
export interface PlainCommand {
  readonly kind: string;
  readonly body: object;
  readonly by?: Role | 'second technician';
}

/** What leaks is read for, and what is counted there. */
export interface LeakAt {
  readonly test: PressureTest;
  readonly fluid: 'liquid' | 'gas';
  readonly pressure: GaugePressure;
  readonly of: LeakCount;
}

/**
 * Whoever does a step plainly: what they would say, read and find. A test finds everything sound; a story of the demo has
 * its own findings and instruments.
 */
export interface Hands {
  readonly step: string;
  readonly state: JobState;
  readonly valve: Valve;
  readonly instrument: (kind: InstrumentKind) => InstrumentId | 'hand';
  readonly written: () => string;
  readonly line: () => Line;
  /** Number of a lock of one’s own, and of its tag. */
  readonly lock: () => { readonly lock: string; readonly tag: string };
  readonly clock: (part: PartRole, index: number) => string;
  readonly laid: () => readonly object[];
  readonly details: () => object;
  readonly finding: (part: PartRole, choices: readonly { readonly finding: Finding }[]) => object;
  readonly reading: (ask: MeasureAsk) => string;
  readonly deflection: (angle: Angle) => string | object;
  /** How much of the circle the blue line covers, in degrees, and where it begins. */
  readonly blue: (round: number) => { readonly from: number; readonly degrees: number };
  readonly click: (setting: Torque) => object;
  readonly leak: (at: LeakAt) => Leak;
  readonly rigPressure: (pressure: GaugePressure) => string | object;
  readonly expected: (leadDays: number) => string;
  readonly nextDue: (months: number) => string;
}

/** What a task is to a plan, besides its data: what finishes it, how it is done, what it leaves for the next hands. */
export interface TaskKind<T> {
  /** A release or a signature, or what holds the line back: done on purpose, by its own button. */
  readonly onPurpose?: true;
  /** A person’s PIN is asked again for it. */
  readonly signed?: true;
  /** It lets pressure in: the last steps before it are done on purpose too. */
  readonly letsPressureIn?: true;
  // Methods, not properties: their parameters compare both ways, so that a record by kind is a record of tasks.
  /** The entry that finished it, or undefined while it is open. */
  finishedBy(task: T, facts: StepFacts): Entry | undefined;
  /** The commands that do it now, or as much of it as can be done before its outcome is known. */
  plainly(task: T, hands: Hands): readonly PlainCommand[];
  /**
   * Where it can be called done by hand: what that still wants, or undefined when nothing. Absent where only its own fact
   * finishes it.
   */
  wantsByHand?(task: T, facts: StepFacts, note: string | undefined): string | undefined;
  /** Its line in a hand-over while it is open. */
  handsOver?(title: string): { readonly list: 'loose' | 'waits'; readonly line: string };
}
