import type { SymptomId } from '../diagnosis';
import type { EnergyKind } from '../isolation';
import type { Finding, SiteRules } from '../inspection';
import type { EntryOf, InstrumentKind, JobState, PressureTest, StandingCall, Stage } from '../job';
import type { Dimension, GaugePressure, Quantity, Length, Time, Torque } from '../quantity';
import type { Source } from '../standards';
import type { Ask, DetailId, Features, PartRole, Valve } from '../valve';
import type { Step as WorkingStep, TighteningPass } from '../workings';
import type { Milestone, Relation, StepName } from './relations';

/** What a person can say about a part at a glance, offered as choices. */
export interface LookChoice {
  readonly label: string;
  readonly finding: Finding;
  /** The depth is asked for before the finding is made. */
  readonly asksDepth?: true;
}

export interface MeasureAsk {
  readonly what: string;
  readonly dimension: Dimension;
  readonly example: string;
  /** Absent where it is counted, not read. */
  readonly instrument?: InstrumentKind;
  /** Id of the step that took the same figure before: the difference is shown. */
  readonly was?: string;
  /** Only this reading finishes the step. */
  readonly mustBe?: 'zero' | { readonly below: Quantity };
}

/** A figure with the working behind it, to be shown on demand. */
export interface Shown {
  readonly steps: readonly WorkingStep[];
  readonly notes: readonly string[];
  readonly source: Source;
}

/** Grinding in is a part against its own seat; lapping is a part against a block or a lap. */
export type LapsAgainst = 'its own seat' | 'a block or lap';

/** What the bench shows for a step, and what finishes it. */
export type Task =
  | {
      readonly kind: 'do';
      /** What must be written down with it. */
      readonly writes?: string;
    }
  /** Where the fault lies, found by the fault finder. */
  | { readonly kind: 'place'; readonly symptoms: readonly SymptomId[] }
  /** Match marks by the clock; at rebuild each must meet the mark that `was` set. */
  | { readonly kind: 'marks'; readonly parts: readonly PartRole[]; readonly was?: string }
  /** Spares and papers laid against the plate. */
  | { readonly kind: 'spares' }
  /** The maker's figures of this model, typed once. */
  | {
      readonly kind: 'makers-sheet';
      readonly model?: string;
      readonly joint: boolean;
      readonly gland: boolean;
    }
  | { readonly kind: 'line' }
  /** A lock and a tag of one's own on a point; taken off again by the same hand. */
  | { readonly kind: 'lock'; readonly point: string }
  | { readonly kind: 'unlock'; readonly point: string }
  | { readonly kind: 'sign-off'; readonly done: string; readonly checked: string }
  | { readonly kind: 'ask'; readonly ask: Ask }
  /** Figures are missing; the asks before this step bring them. */
  | { readonly kind: 'wants'; readonly wants: readonly DetailId[] }
  | { readonly kind: 'look'; readonly part: PartRole; readonly choices: readonly LookChoice[] }
  | { readonly kind: 'measure'; readonly asks: readonly MeasureAsk[] }
  | {
      readonly kind: 'runout';
      readonly part: PartRole;
      readonly stations: number;
      readonly limit: Length;
      readonly source: Source;
    }
  | { readonly kind: 'bluing'; readonly diameter: Length; readonly widest: Length; readonly round: number }
  | {
      readonly kind: 'lapping';
      readonly against: LapsAgainst;
      readonly grits: readonly number[];
    }
  | {
      readonly kind: 'packing';
      readonly rings: number;
      readonly section: Length;
      readonly length: Length;
      readonly stem: Length;
      readonly bore: Length;
      readonly stagger: number;
      readonly shown: Shown;
    }
  | {
      readonly kind: 'bolt-up';
      readonly bolts: number;
      readonly torque: Torque;
      readonly passes: readonly TighteningPass[];
      readonly lowPercent: number;
      readonly shown: Shown;
    }
  | {
      readonly kind: 'pressure-test';
      readonly test: PressureTest;
      readonly fluid: 'liquid' | 'gas';
      readonly pressure: GaugePressure;
      readonly hold: Time;
      readonly allowedPerMinute: number;
      /** What is counted, where it is not drops or bubbles. */
      readonly counted?: 'mL';
      readonly shown: Shown;
    }
  | { readonly kind: 'order'; readonly part: PartRole; readonly leadDays: number }
  | { readonly kind: 'arrive'; readonly part: PartRole }
  | { readonly kind: 'hold'; readonly witness: string }
  | { readonly kind: 'sign'; readonly months: number };

export type TaskOf<K extends Task['kind']> = Extract<Task, { kind: K }>;

/** Why a step is on the plan. */
export interface Because {
  readonly kind: 'feature' | 'finding' | 'rule' | 'always';
  readonly text: string;
  /** The entry that put it there. */
  readonly entry?: number;
}

/** A step as a fragment proposes it, before ordering. */
export interface Draft {
  readonly name: StepName;
  readonly stage: Stage;
  readonly title: string;
  readonly why: string;
  readonly caution?: string;
  readonly tools: readonly string[];
  readonly consumables: readonly string[];
  /** Every part the step touches, those that come off or go on among them. */
  readonly parts: readonly PartRole[];
  /** Parts that come off here, in order: their place on the tray. */
  readonly off: readonly PartRole[];
  /** Parts that go back here. */
  readonly on: readonly PartRole[];
  /** When it is wanted at all, in words; it may be passed over as not needed. */
  readonly optional?: string;
  /** Done at the first opening only, however often the valve is opened. */
  readonly once?: true;
  /** Work on the job rather than on a part: it stays where a unit alone is on the bench. */
  readonly ofTheJob?: true;
  /** What of the isolation it does or proves. */
  readonly isolation?: IsolationPart;
  readonly task: Task;
  readonly minutes: number;
  readonly because: Because;
  /** What must be behind it. */
  readonly after: readonly Relation[];
  /** Milestones this step belongs to. */
  readonly provides: readonly Milestone[];
}

export type IsolationPart =
  | { readonly is: 'point'; readonly point: string }
  | { readonly is: 'restored'; readonly point: string }
  | { readonly is: 'proof'; readonly energy: EnergyKind };

/** One time that the valve is open: the first, and one more for each seat test over its allowance. */
export interface Opening {
  readonly number: number;
  /** The failed test that made it necessary; absent on the first. */
  readonly failed?: EntryOf<'pressure-tested'>;
}

/** What a fragment may look at. */
export interface Context {
  readonly valve: Valve;
  readonly features: Features;
  /** Whether this valve has the part. */
  readonly has: (part: PartRole) => boolean;
  readonly site: SiteRules;
  readonly state: JobState;
  readonly came: 'in line' | 'bare';
  readonly calls: ReadonlyMap<PartRole, StandingCall>;
  /** What was unknown when the valve came in, answered since or not. */
  readonly asks: readonly Ask[];
  readonly opening: Opening;
  /** A step's id at this opening, to find its facts by. */
  readonly idOf: (name: StepName) => string;
  /** Minutes for this size. */
  readonly minutes: (small: number) => number;
}

/**
 * A piece of procedure: proposes steps for the valves and findings it applies to, and none for the rest. The plan
 * numbers the openings, and leaves out what a condemned valve no longer wants.
 */
export interface Fragment {
  readonly name: string;
  /** Which openings it belongs to; `afterwards` is once in a job, when the last of them is closed. */
  readonly openings: 'first' | 'every' | 'last' | 'later' | 'afterwards';
  /** The features it is written for; every valve unless told. */
  readonly when?: (features: Features) => boolean;
  /** Only for a valve that is condemned, or only for one that is not; for both unless told. */
  readonly of?: 'condemned' | 'sound';
  readonly compose: (context: Context) => readonly Draft[];
}

type Sparse = Pick<Draft, 'name' | 'stage' | 'title' | 'why' | 'minutes' | 'because'> & Partial<Draft>;

/** A draft with the usual blanks filled: no tools, no parts, simply to be done. */
export function draft(given: Sparse): Draft {
  const { off = [], on = [], parts = [] } = given;
  return {
    tools: [],
    consumables: [],
    task: { kind: 'do' },
    after: [],
    provides: [],
    ...given,
    off,
    on,
    parts: [...new Set([...parts, ...off, ...on])],
  };
}

export const always = (text: string): Because => ({ kind: 'always', text });
export const feature = (text: string): Because => ({ kind: 'feature', text });
export const rule = (text: string): Because => ({ kind: 'rule', text });
export const finding = (text: string, entry: number | undefined): Because =>
  entry === undefined ? { kind: 'finding', text } : { kind: 'finding', text, entry };

/** The reason of a step that a call put there. */
export function fromCall(call: StandingCall): Because {
  return finding(
    `${call.part}: ${call.verdict}${call.method ? `, ${call.method}` : ''}; ${call.reason}`,
    call.because.at(-1),
  );
}
