import { ok, type Result } from '../problem';
import {
  callsOf,
  counts,
  openingOf,
  siteOf,
  standingEntries,
  valveOf,
  type Entry,
  type EntryOf,
  type JobState,
  type Stage,
  type StandingCall,
} from '../job';
import { FRAGMENTS, inService, pressureTests, type Context, type Draft, type Opening } from '../procedure';
import { asksOf, partsOf, type PartRole, type Valve } from '../valve';
import { finishedBy, passed } from './done';
import { deliberateSteps } from './deliberate';
import { ordered, type Placed } from './order';
import { bothSides, coveredBy, signingOf, type Signing } from './signatures';
import { onTheBench } from './swap';

/** What a step waits for. */
export type Wait =
  | { readonly kind: 'step'; readonly id: string; readonly title: string }
  | { readonly kind: 'part'; readonly part: PartRole; readonly expected?: string };

export interface PlannedStep extends Omit<Draft, 'after' | 'provides'> {
  /** Ids of the steps that must be behind it. */
  readonly after: readonly string[];
  readonly opening: number;
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

function compose(state: JobState): Result<Plan | undefined> {
  const valve = valveOf(state);
  const opened = openingOf(state);
  if (!valve || !opened) return ok(undefined);
  const calls = callsOf(state);
  const condemned = [...calls.values()].some(({ verdict }) => verdict === 'condemn');
  const openings = openingsOf(state, valve, calls, condemned);
  const drafts = openings.flatMap((opening) => {
    const context = contextFor(state, valve, calls, condemned, opening);
    return fragmentsFor(valve)
      .filter((fragment) => fragment.openings === 'every' || applies(fragment.openings, opening))
      .flatMap((fragment) =>
        fragment
          .compose(context)
          .map((draft) => ({ draft: inService(valve, draft), opening: opening.number })),
      );
  });
  const order = ordered(onTheBench(state, valve, drafts));
  if (!order.ok) return order;
  const steps = [...keptSteps(state, order.value), ...withStatus(order.value, state)];
  const open = steps.filter(({ status }) => status !== 'done');
  return ok({
    valve,
    steps,
    calls,
    inHand:
      steps.find(({ status, waits }) => status === 'ready' && waits.length === 0) ??
      steps.find(({ status }) => status === 'ready'),
    remainingMinutes: open.reduce((total, step) => total + step.minutes, 0),
    condemned,
    openings: openings.length,
  });
}

const fragmentsFor = ({ features }: Valve) => FRAGMENTS.filter(({ when }) => when?.(features) ?? true);

const applies = (openings: 'first' | 'last' | 'later', opening: Opening): boolean =>
  openings === 'first' ? opening.number === 1 : openings === 'last' ? opening.last : opening.number > 1;

function contextFor(
  state: JobState,
  valve: Valve,
  calls: Plan['calls'],
  condemned: boolean,
  opening: Opening,
): Context {
  const opened = openingOf(state);
  const size = valve.nps ?? 2;
  const roles = new Set(partsOf(valve).map(({ role }) => role));
  return {
    valve,
    features: valve.features,
    has: (part) => roles.has(part),
    site: siteOf(state),
    state,
    came: opened?.body.came ?? 'bare',
    calls,
    asks: asksOf(opened?.body.valve ?? valve),
    condemned,
    opening,
    id: (base) => (opening.number === 1 ? base : `${base}@${opening.number}`),
    minutes: (small) => Math.round(small * sizeFactor(size)),
  };
}

/** Larger valves take longer: about twice the time from small hand-size to NPS 12 (common practice). */
const sizeFactor = (nps: number): number => Math.min(2.4, Math.max(0.9, 0.8 + nps * 0.1));

/** The first opening, and one more for each counted seat test over its allowance. */
function openingsOf(state: JobState, valve: Valve, calls: Plan['calls'], condemned: boolean): Opening[] {
  const openings: Opening[] = [{ number: 1, last: false }];
  for (;;) {
    const opening = openings.at(-1);
    if (!opening) return openings;
    const context = contextFor(state, valve, calls, condemned, opening);
    const failed = failedSeatTest(state, context);
    if (!failed) return [...openings.slice(0, -1), { ...opening, last: true }];
    openings.push({ number: opening.number + 1, last: false, failed });
  }
}

function failedSeatTest(state: JobState, context: Context): EntryOf<'pressure-tested'> | undefined {
  const id = context.id('test.seat');
  const test = state.records['pressure-tested'].findLast(
    ({ body }) => body.step.id === id && counts(body.readBy),
  );
  if (!test) return undefined;
  const task = pressureTests.compose(context).find((draft) => draft.id === id)?.task;
  return task?.kind === 'pressure-test' && !passed(test, task) ? test : undefined;
}

function withStatus(order: readonly Placed[], state: JobState): PlannedStep[] {
  const finished = new Map(order.map(({ draft }) => [draft.id, finishedBy(draft, state)]));
  const signings = new Map<string, Signing & { covered: readonly string[] }>();
  for (const placed of order) {
    const { id, task } = placed.draft;
    if (task.kind !== 'sign-off') continue;
    const covered = coveredBy(order, placed);
    const signing = signingOf(state, id, covered, finished);
    signings.set(id, { ...signing, covered });
    finished.set(id, bothSides(signing));
  }
  const deliberate = deliberateSteps(order);
  const titles = new Map(order.map(({ draft }) => [draft.id, draft.title]));
  return order.map(({ draft, opening, after }) => {
    const { provides: _milestones, ...proposed } = draft;
    const signing = signings.get(draft.id);
    const step = {
      ...proposed,
      ...(deliberate.has(draft.id) ? { deliberate: true as const } : {}),
      ...(signing ? { signing } : {}),
    };
    const entry = finished.get(draft.id);
    if (entry) return { ...step, after, opening, status: 'done', waits: [], finished: entry };
    const waits = [
      ...partWait(draft, state),
      ...[...new Set([...after, ...(signing?.covered ?? [])])]
        .filter((id) => !finished.get(id))
        .map((id): Wait => ({ kind: 'step', id, title: titles.get(id) ?? id })),
    ];
    return {
      ...step,
      after,
      opening,
      status: waits.some(({ kind }) => kind === 'step') ? 'waiting' : 'ready',
      waits,
    };
  });
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
  const planned = new Set(order.map(({ draft }) => draft.id));
  const kept = new Map<string, PlannedStep>();
  const unplanned = standingEntries(state, ({ body }) => 'step' in body && !planned.has(body.step.id));
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
