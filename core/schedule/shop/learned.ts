import type { Plan, PlannedStep } from '../../plan';
import type { ConstructionId } from '../../valve';
import type { JobOperation, OperationKind } from './job-operations';

/** Done over planned of one kind of work on one job, as its log shows it. */
export interface Ratio {
  readonly kind: OperationKind;
  readonly ratio: number;
}

/** A gap that is longer than this many times the step, and by so much, was a break, a night or another job. */
const LONGEST_TIMES = 3;
const LONGEST_MORE = 60;
/** Less planned work than this on a job says nothing of its kind. */
const LEAST_MINUTES = 15;
/** Beyond these somebody did something else, or ticked off what was done before. */
const LEAST = 0.25;
const MOST = 4;

const MINUTE = 60_000;

/**
 * How long each kind of work took on a job, over what was planned: from one step that somebody finished to their next,
 * where no break lies between. What cannot be told so is left out.
 */
export function ratiosOf(plan: Plan, operations: readonly JobOperation[]): Ratio[] {
  const kindOf = new Map(operations.flatMap(({ kind, steps }) => steps.map((id) => [id, kind] as const)));
  const sums = new Map<OperationKind, { planned: number; spent: number }>();
  const lastOf = new Map<string, number>();
  for (const { step, at, by } of inOrder(plan.steps)) {
    const before = lastOf.get(by);
    lastOf.set(by, at);
    const kind = kindOf.get(step.id);
    if (before === undefined || kind === undefined || kind === 'hold') continue;
    const spent = (at - before) / MINUTE;
    if (spent > Math.max(LONGEST_TIMES * step.minutes, step.minutes + LONGEST_MORE)) continue;
    const sum = sums.get(kind) ?? { planned: 0, spent: 0 };
    sums.set(kind, { planned: sum.planned + step.minutes, spent: sum.spent + spent });
  }
  return [...sums].flatMap(([kind, { planned, spent }]) =>
    planned < LEAST_MINUTES ? [] : [{ kind, ratio: Math.min(MOST, Math.max(LEAST, spent / planned)) }],
  );
}

function inOrder(steps: readonly PlannedStep[]) {
  return steps
    .flatMap((step) =>
      step.finished
        ? [{ step, at: Date.parse(step.finished.at), by: step.finished.by.id, seq: step.finished.seq }]
        : [],
    )
    .toSorted((a, b) => a.seq - b.seq);
}

/** As many of the last as are looked at, and fewer than this say nothing (handbook part 7, section 2). */
export const LEARNED_FROM = 20;
export const LEAST_LEARNED = 5;

/** How long work took lately, by construction and kind, the newest last. */
export type Learned = Readonly<
  Partial<Record<ConstructionId, Readonly<Partial<Record<OperationKind, readonly number[]>>>>>
>;

/** By what the minutes of such work are multiplied. */
export const factorFor = (learned: Learned, construction: ConstructionId, kind: OperationKind): number =>
  factorOf(learned[construction]?.[kind] ?? []);

/** The median of what came out lately, the newest last; 1 while too little is known. */
export function factorOf(ratios: readonly number[]): number {
  const lately = ratios.slice(-LEARNED_FROM).toSorted((a, b) => a - b);
  if (lately.length < LEAST_LEARNED) return 1;
  const middle = Math.floor(lately.length / 2);
  const [low, high] = [lately[middle - 1] ?? 1, lately[middle] ?? 1];
  return lately.length % 2 === 1 ? high : (low + high) / 2;
}
