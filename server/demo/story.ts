import type { Finding } from '@dusk-wren/core/inspection';
import type { BodyOf } from '@dusk-wren/core/job';
import type { Condition } from '@dusk-wren/core/simulation';
import type { ShelfUnitKind, Valve } from '@dusk-wren/core/valve';

/** What a demo job has been through; the story is played through the same commands as real work. */
export interface Story {
  readonly valve: Valve;
  readonly condition: Condition;
  readonly came: 'in line' | 'bare';
  readonly reported: string;
  /** Index of the technician in PEOPLE. */
  readonly technician: number;
  readonly openedDaysAgo: number;
  readonly dueInDays?: number;
  /** Played until this step is in hand; `signed` plays to the end. */
  readonly until: string;
  readonly seatDepth?: string;
  readonly bluedDegrees?: number;
  /** Answers to looks that find something, by step. */
  readonly unsure?: { step: string; what: string };
  readonly ventPsig?: number;
  /** What a look finds, by the step that looks. */
  readonly finds?: Readonly<Record<string, Finding>>;
  /** What was in the bag when it was counted: sheet, kit, and each line with its cure date. */
  readonly counted?: BodyOf<'kit-checked'>;
  /** A unit taken from the shelf when this step is in hand. */
  readonly takes?: { at: string; kind: ShelfUnitKind; serial: string };
}
