import { ok, type Result } from '../problem';
import { callsOf, type StandingCall } from '../calls';
import {
  placeOf,
  rememberedByReads,
  scopeOf,
  standingEntries,
  stepIdOf,
  valveWorkedOn,
  type Entry,
  type JobState,
  type Scope,
  type Stage,
} from '../job';
import { hasOwnAir, worksOn, type Draft } from '../procedure';
import type { PartRole, Valve } from '../valve';
import { finishedBy, StepFacts } from '../task';
import { withBenchAir } from './bench-air';
import { deliberateSteps } from './deliberate';
import { stepsOfAllOpenings } from './openings';
import { ordered, settled, type Placed } from './order';
import { withinOpenings, withinScope } from './scope';
import { bothSides, coveredBy, signingOf, type Signing } from './signatures';
import { onTheBench } from './swap';

/** What a step waits for. */
export type Wait =
  | { readonly kind: 'step'; readonly id: string; readonly title: string }
  | { readonly kind: 'part'; readonly part: PartRole; readonly expected?: string };

export interface PlannedStep extends Omit<
  Draft,
  'name' | 'after' | 'provides' | 'once' | 'ofTheJob' | 'benchAir'
> {
  readonly id: string;
  /** Ids of the steps that must be behind it. */
  readonly after: readonly string[];
  readonly opening: number;
  /** Which time round, where it is done until it is right. */
  readonly round?: number;
  readonly status: 'done' | 'ready' | 'waiting';
  readonly waits: readonly Wait[];
  /** The entry that finished it. */
  readonly finished?: Entry;
  /** Done, but no longer asked for by the plan: kept, never lost. */
  readonly kept?: true;
  /** A release, a signature, or the last step before pressure or an opened valve: it takes a press of its own button. */
  readonly deliberate?: true;
  /** On a sign-off: what a signature covers, and the signatures that count. */
  readonly signing?: Signing;
}

export interface Plan {
  readonly valve: Valve;
  readonly scope: Scope;
  readonly steps: readonly PlannedStep[];
  readonly calls: ReadonlyMap<PartRole, StandingCall>;
  /** The step to do now: the first that is ready, one that waits for a part only when nothing else is. */
  readonly inHand: PlannedStep | undefined;
  readonly remainingMinutes: number;
  readonly condemned: boolean;
  /** How many times the valve has been opened, the present time included. */
  readonly openings: number;
}

/** A state never changes, so its plan is made once: deciding, summing up and showing share it. */
const made = new WeakMap<JobState, Result<Plan | undefined>>();

/** Ready steps first, in plan order. Refused only when fragments contradict each other. */
export function plan(state: JobState): Result<Plan | undefined> {
  const known = made.get(state);
  if (known) return known;
  const fresh = compose(state);
  made.set(state, fresh);
  return fresh;
}

/** The steps in their order, before any of them is begun or done. */
interface Order {
  readonly valve: Valve;
  readonly scope: Scope;
  readonly steps: readonly Placed[];
  readonly titles: ReadonlyMap<string, string>;
  readonly deliberate: ReadonlySet<string>;
  readonly calls: ReadonlyMap<PartRole, StandingCall>;
  readonly condemned: boolean;
  readonly openings: number;
}

/** Most entries change no step, only which are done: a click of a wrench is no reason to compose them all again. */
const orderOf = rememberedByReads((state): Result<Order | undefined> => {
  const valve = valveWorkedOn(state);
  if (!valve) return ok(undefined);
  const calls = callsOf(state);
  const condemned = [...calls.values()].some(({ verdict }) => verdict === 'condemn');
  const { steps: asked, openings } = stepsOfAllOpenings(state, valve, calls, condemned);
  const scope = scopeOf(state);
  const whole = withinOpenings(state, valve, settled(onTheBench(state, valve, asked)), openings);
  const cut = withinScope(state, valve, whole);
  const sorted = ordered(cut);
  if (!sorted.ok) return sorted;
  const steps = hasOwnAir({ state, valve, place: placeOf(state), scope })
    ? sorted.value
    : withBenchAir(sorted.value, valve);
  return ok({
    ...{ valve, scope, condemned, openings: openings.length, steps },
    titles: new Map(steps.map(({ id, draft }) => [id, draft.title])),
    deliberate: deliberateSteps(steps),
    calls: callsWithin(scope, valve, calls, cut),
  });
});

function compose(state: JobState): Result<Plan | undefined> {
  const composed = orderOf(state);
  if (!composed.ok || !composed.value) return composed.ok ? ok(undefined) : composed;
  const { steps: order, titles, deliberate, ...planned } = composed.value;
  const steps = [...keptSteps(state, order), ...withStatus({ order, titles, deliberate }, state)];
  const open = steps.filter(({ status }) => status !== 'done');
  return ok({
    ...planned,
    steps,
    inHand:
      steps.find(({ status, waits }) => status === 'ready' && waits.length === 0) ??
      steps.find(({ status }) => status === 'ready'),
    remainingMinutes: open.reduce((total, step) => total + step.minutes, 0),
  });
}

/** What is new at every overhaul is new only where the scope comes to it. */
function callsWithin(
  scope: Scope,
  valve: Valve,
  calls: ReadonlyMap<PartRole, StandingCall>,
  steps: readonly Placed[],
): ReadonlyMap<PartRole, StandingCall> {
  if (scope === 'overhaul') return calls;
  const worked = worksOn(scope, valve.features);
  const back = new Set(steps.flatMap(({ draft }) => draft.on));
  return new Map(
    [...calls].filter(([part, { because }]) => because.length > 0 || worked.has(part) || back.has(part)),
  );
}

function withStatus(
  { order, titles, deliberate }: Pick<Order, 'titles' | 'deliberate'> & { readonly order: readonly Placed[] },
  state: JobState,
): PlannedStep[] {
  const finished = new Map(
    order.map(({ id, draft }) => [
      id,
      finishedBy(draft.task, new StepFacts(state, id, draft.optional !== undefined)),
    ]),
  );
  const signings = new Map<string, Signing & { covered: readonly string[] }>();
  for (const placed of order) {
    const { id } = placed;
    if (placed.draft.task.kind !== 'sign-off') continue;
    const covered = coveredBy(order, placed);
    const signing = signingOf(state, id, covered, finished);
    signings.set(id, { ...signing, covered });
    finished.set(id, bothSides(signing));
  }
  return order.map(({ id, draft, opening, after }) => {
    const { name, provides: _given, once: _once, ofTheJob: _ofTheJob, benchAir: _air, ...asked } = draft;
    const signing = signings.get(id);
    const entry = finished.get(id);
    const waits = entry
      ? []
      : waitsOf(draft, state, [...after, ...(signing?.covered ?? [])], finished, titles);
    const isWaiting = waits.some(({ kind }) => kind === 'step');
    return {
      ...asked,
      id,
      after,
      opening,
      status: entry ? 'done' : isWaiting ? 'waiting' : 'ready',
      waits,
      ...(name.round === undefined ? {} : { round: name.round }),
      ...(deliberate.has(id) ? { deliberate: true as const } : {}),
      ...(signing ? { signing } : {}),
      ...(entry ? { finished: entry } : {}),
    };
  });
}

/** What an open step waits for: a part on its way, and steps that are not done. */
function waitsOf(
  draft: Draft,
  state: JobState,
  before: readonly string[],
  finished: ReadonlyMap<string, Entry | undefined>,
  titles: ReadonlyMap<string, string>,
): Wait[] {
  const waits = partWait(draft, state);
  const seen = new Set<string>();
  for (const id of before) {
    if (seen.has(id) || finished.get(id)) continue;
    seen.add(id);
    waits.push({ kind: 'step', id, title: titles.get(id) ?? id });
  }
  return waits;
}

/** A part on order can be received any day: the step is open, and says what it waits for. */
function partWait({ task }: Draft, state: JobState): Wait[] {
  if (task.kind !== 'arrive') return [];
  const expected = state.records['part-ordered'].findLast(({ body }) => body.part === task.part)?.body
    .expected;
  return expected === undefined ? [] : [{ kind: 'part', part: task.part, expected }];
}

/** Steps with facts on them that the plan no longer asks for: what was done stays done. */
function keptSteps(state: JobState, order: readonly Placed[]): PlannedStep[] {
  const planned = new Set(order.map(({ id }) => id));
  const kept = new Map<string, PlannedStep>();
  const unplanned = standingEntries(state, (entry) => {
    const step = stepIdOf(entry);
    return step !== undefined && !planned.has(step);
  });
  for (const entry of unplanned) {
    if (!('step' in entry.body)) continue;
    const { id, title, stage } = entry.body.step;
    kept.set(id, {
      id,
      stage,
      title,
      why: 'Done before the plan changed.',
      tools: [],
      consumables: [],
      parts: [],
      off: [],
      on: [],
      task: { kind: 'do' },
      minutes: 0,
      because: { kind: 'always', text: 'done before the plan changed' },
      after: [],
      opening: 1,
      status: 'done',
      waits: [],
      finished: entry,
      kept: true,
    });
  }
  return [...kept.values()];
}

/** The step on the plan by its id. */
export function stepOf(plan: Plan, id: string): PlannedStep | undefined {
  return plan.steps.find((step) => step.id === id);
}

/** The stage a job stands in: that of the step in hand, of the first that waits, or release when all is done. */
export function stageOf(plan: Plan): Stage {
  return (plan.inHand ?? plan.steps.find(({ status }) => status === 'waiting'))?.stage ?? 'release';
}
