import { wordReason, type SiteRules } from '../inspection';
import type { EnergyKind } from '../isolation';
import type { StandingCall } from '../calls';
import type { JobState, Place, Scope, Stage } from '../job';
import { phrase, type Phrase } from '../quantity';
import type { Task } from '../task';
import type { Ask, Features, PartRole, Room, Valve } from '../valve';
import type { ConsumableName } from './consumables';
import type { Milestone, Relation, StepName } from './relations';
import type { ToolName } from './tools';

/** Why a step is on the plan. */
export interface Because {
  readonly kind: 'feature' | 'finding' | 'rule' | 'always';
  readonly text: Phrase;
  /** The entry that put it there. */
  readonly entry?: number;
}

/** A step as a fragment proposes it, before ordering. */
export interface Draft {
  readonly name: StepName;
  readonly stage: Stage;
  readonly title: string;
  readonly why: Phrase;
  readonly caution?: string;
  readonly tools: readonly ToolName[];
  readonly consumables: readonly ConsumableName[];
  /** What is laid out of the kit, in the words of its list. */
  readonly kit?: readonly string[];
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
  /** It wants air on the actuator: from the bench, for the valve's own supply is locked out or far away. */
  readonly benchAir?: true;
  /** It lets a spring go: what the spring pressed on is safe to loosen only behind it. */
  readonly unloads?: true;
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
  | {
      readonly is: 'point' | 'restored';
      readonly point: string;
      /** Whoever does it stands at line pressure. */
      readonly live?: true;
    }
  | { readonly is: 'proof'; readonly energy: EnergyKind };

/** How a valve leaves: put right, beyond repair, or apart on its tray until a quote is answered. */
export type Outcome = 'sound' | 'condemned' | 'quoted';

/** One time that the valve is open: the first, and one more for each test that asks for it. */
export interface Opening {
  readonly number: number;
  /** What made it necessary; absent on the first. */
  readonly again?: Reopened;
}

/** Why a valve is opened again, and how far: the whole of it, or no further than one room. */
export interface Reopened {
  readonly because: Because;
  readonly only?: Room;
}

/** What a fragment may look at. */
export interface Context {
  readonly valve: Valve;
  readonly features: Features;
  /** Whether this valve has the part. */
  readonly has: (part: PartRole) => boolean;
  /** Whether the job is about the part: its scope works on it. */
  readonly works: (part: PartRole) => boolean;
  readonly site: SiteRules;
  readonly state: JobState;
  readonly place: Place;
  readonly scope: Scope;
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
  /** Only for valves that leave so; for every one unless told. */
  readonly of?: readonly Outcome[];
  /** The room of the valve that it works on. */
  readonly room?: Room;
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
export const finding = (text: Phrase, entry: number | undefined): Because =>
  entry === undefined ? { kind: 'finding', text } : { kind: 'finding', text, entry };

/** The reason of a step that a call put there. */
export function fromCall(call: StandingCall): Because {
  return finding(
    phrase`${call.part}: ${call.verdict}${call.method ? `, ${call.method}` : ''}; ${wordReason(call.reason)}`,
    call.because.at(-1),
  );
}
