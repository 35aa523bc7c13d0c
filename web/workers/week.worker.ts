import { placingText, type PlacingView } from '@dusk-wren/contract/week';
import type {
  Asked,
  Cure,
  Fitted,
  Means,
  Placing,
  Quality,
  Solved,
  Week,
  WeekJob,
  WeekPlan,
} from '@dusk-wren/core/schedule';
import {
  betterThan,
  curesOf,
  faultsOf,
  fitInto,
  instanceOf,
  instant,
  lateJobs,
  NO_CLOCK,
  placedAs,
  placingOf,
  planWeek,
  promise,
  proveWeek,
  qualityOf,
  readWeek,
  weekPlan,
} from '@dusk-wren/core/schedule';
import { expose } from 'comlink';
import { browserSolver } from './solver';

/** Another plan, or why there is none. */
export type Tried =
  | { readonly plan: readonly PlacingView[]; readonly why?: never }
  | { readonly plan?: never; readonly why: string };

/** A piece of a late job's chain, as it lies in the plan. */
export interface ChainPiece {
  readonly job: string;
  readonly id: string;
  readonly waited: 'follows' | 'place' | 'person' | 'nothing';
  readonly closed: number;
}

/** While a piece is moved about it is planned again at every step: a tenth of what a plan is given. */
const BUDGET = { ...NO_CLOCK, puts: NO_CLOCK.puts / 10 };

/** Seconds that are left of so many from now. */
const secondsFrom = (seconds: number) => {
  const until = performance.now() + seconds * 1000;
  return () => Math.max(0, (until - performance.now()) / 1000);
};

const weekPlanner = {
  /** The week planned again, with as little moved of what stood as can be. */
  tried(week: Week, stood: readonly Placing[]): Tried {
    const instance = instanceOf(week, stood);
    const solved = instance.ok ? instant(instance.value, BUDGET) : instance;
    if (!instance.ok || !solved.ok) return { why: solved.ok ? '' : solved.problem.why };
    return { plan: weekPlan(instance.value, solved.value).operations.map(placingText) };
  },
  /** Why a job is late, the last piece first; nothing where it is not. */
  chain(week: Week, plan: readonly Placing[], job: string): ChainPiece[] {
    const late = lateOf(week, plan, job);
    return (late?.late.chain ?? []).map(({ placed, waitedFor, closed }) => ({
      job: String(placed.task.job.id),
      id: String(placed.task.id),
      waited: waitedFor.kind === 'taken' ? waitedFor.what : waitedFor.kind,
      closed,
    }));
  },
  /** The three cheapest cures of a late job, each tried. */
  cures(week: Week, plan: readonly Placing[], job: string, means: Means): Cure[] {
    const found = lateOf(week, plan, job);
    return found ? curesOf(week, found.plan, found.late, means, BUDGET) : [];
  },
  /** What of an outage fits its window, beside all that the shop has to do anyway. */
  fitted: (
    week: Week,
    stands: readonly Placing[],
    asked: readonly Asked[],
    window: { from: number; to: number },
  ): Fitted => fitInto(week, stands, asked, window, BUDGET),
  /**
   * The minutes at which a new job is over in a thousand weeks, sooner ones first; `spread` has how work came out over
   * what is planned, by job and operation. Nothing where it can be planned nowhere.
   */
  promised(
    week: Week,
    stood: readonly Placing[],
    job: WeekJob,
    spread: Readonly<Record<string, readonly number[]>>,
  ): readonly number[] {
    const asked = promise(week, stood, job, (task) => spread[`${task.job.id} ${task.id}`] ?? [], {
      budget: BUDGET,
    });
    return asked.ok ? asked.value.ends.filter(Number.isFinite) : [];
  },
  /** The plan bettered, and bounded, by a constraint solver for so many seconds; who wants less ends this worker. */
  async better(
    week: Week,
    stands: readonly Placing[],
    seconds: number,
    heard: (best: Bettered) => void,
  ): Promise<Bettered | undefined> {
    const found = await betterThan(week, stands, browserSolver, {
      left: secondsFrom(seconds),
      heard: (best) => heard(sofar(best)),
    });
    return found && { ...qualityIn(found), plan: found.operations.map(placingText) };
  },
  /** A week out of a file: planned at once, and proved for as many seconds as it says. */
  async file(text: string, heard: (best: Quality) => void): Promise<PlannedFile> {
    const read = readWeek(parsed(text));
    if (!read.ok) return { why: read.problem.why };
    const made =
      read.value.seconds > 0
        ? await proveWeek(read.value, browserSolver, {
            left: secondsFrom(read.value.seconds),
            heard: ({ score, bounds }) => heard(qualityOf(score, bounds)),
          })
        : planWeek(read.value);
    if (!made.ok) return { why: made.problem.why };
    const faults = faultsOf(read.value, made.value.operations);
    return faults.length > 0 ? { why: faults.join(' ') } : { week: read.value, plan: made.value };
  },
};

/** A file planned, or why there is no plan of it. */
export type PlannedFile =
  | { readonly week: Week; readonly plan: WeekPlan; readonly why?: never }
  | { readonly week?: never; readonly plan?: never; readonly why: string };

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** What a plan came to so far. */
export interface Bettered extends Quality {
  readonly plan: readonly PlacingView[];
}

const qualityIn = ({ objective, bound, gap }: Quality): Quality => ({ objective, bound, gap });
const sofar = ({ plan, score, bounds }: Solved): Bettered => ({
  ...qualityOf(score, bounds),
  plan: plan.map(placingOf).map(placingText),
});

function lateOf(week: Week, plan: readonly Placing[], job: string) {
  const instance = instanceOf(week);
  if (!instance.ok) return undefined;
  const placed = placedAs(instance.value, plan);
  const late = placed && lateJobs(instance.value, placed).find((each) => each.job.id === job);
  return late && { late, plan: placed };
}

export type WeekPlanner = typeof weekPlanner;
expose(weekPlanner);
