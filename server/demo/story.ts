import type { CauseId, SymptomId } from '@dusk-wren/core/diagnosis';
import type { Finding } from '@dusk-wren/core/inspection';
import type { BodyOf, Place } from '@dusk-wren/core/job';
import type { Condition } from '@dusk-wren/core/simulation';
import type { PartRole, ShelfUnitKind, Valve } from '@dusk-wren/core/valve';
import type { Where } from './where';

/** What a demo job has been through; the story is played through the same commands as real work. */
export interface Story {
  readonly valve: Valve;
  readonly condition: Condition;
  readonly place: Place;
  readonly reported: string;
  /** Index of the technician in PEOPLE. */
  readonly technician: number;
  readonly openedDaysAgo: number;
  readonly dueInDays?: number;
  /** Played until such a step is in hand; `signed` plays to the end. */
  readonly until: Where | 'signed';
  readonly seatDepth?: string;
  readonly bluedDegrees?: number;
  /** Answers to looks that find something, by step. */
  readonly unsure?: { part: PartRole; what: string };
  readonly ventPsig?: number;
  /** What is read otherwise than usual, by what it is of. */
  readonly readings?: Readonly<Record<string, string>>;
  /** Where the fault is placed. */
  readonly placed?: { symptom: SymptomId; cause: CauseId };
  /** What is left for now, and for how many months. */
  readonly leaves?: { what: string; months: number };
  /** What looks find, by part. */
  readonly finds?: Partial<Readonly<Record<PartRole, Finding>>>;
  /** What was in the bag when it was counted: sheet, kit, and each line with its cure date. */
  readonly counted?: BodyOf<'kit-checked'>;
  /** A unit taken from the shelf when this step is in hand. */
  readonly takes?: { at: Where; kind: ShelfUnitKind; serial: string };
}
