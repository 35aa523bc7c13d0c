import { issuesFromZod, ok, refuse, type Result } from '../problem';
import { better, SOLVED_MOST } from './better';
import { boundsOf } from './bounds/bound';
import { anyPlan } from './exact/prove';
import type { Solver } from './exact/solver';
import type { Watch } from './watch';
import { weekPlan, type WeekPlan } from './answer';
import { instanceOf, type Instance, type NoPlan } from './instance';
import { instant, type Solved } from './engine/instant';
import { compare, scoreOf } from './score';
import { placedAs } from './read-plan';
import { weekFile, type Placing, type Week } from './week';

/** A week out of a file, or what is wrong with it. */
export function readWeek(file: unknown): Result<Week, NoPlan> {
  const read = weekFile.safeParse(file);
  if (read.success) return ok(read.data);
  const said = issuesFromZod(read.error).map(
    ({ path, problem }) => `${path}: ${problem.code === 'field' ? problem.message : problem.code}`,
  );
  return refuse({ kind: 'bad file', why: said.join('\n') });
}

/** The plan that the instant engine makes of a week. */
export function planWeek(week: Week): Result<WeekPlan, NoPlan> {
  const instance = instanceOf(week);
  if (!instance.ok) return instance;
  const solved = instant(instance.value);
  return solved.ok ? ok(weekPlan(instance.value, solved.value)) : solved;
}

/** The same, bettered and bounded by a constraint solver while there is time; it finds a plan where searching found none. */
export async function proveWeek(week: Week, solver: Solver, watch: Watch): Promise<Result<WeekPlan, NoPlan>> {
  const instance = instanceOf(week);
  if (!instance.ok) return instance;
  const solved = instant(instance.value);
  if (solved.ok)
    return ok(weekPlan(instance.value, await better(instance.value, solved.value, solver, watch)));
  const found = await solvedFirst(instance.value, solver, watch);
  return found ? ok(weekPlan(instance.value, await better(instance.value, found, solver, watch))) : solved;
}

/** A plan that was written down, as good as it is; undefined where it is none of this week. */
export function judged(week: Week, plan: readonly Placing[]): Solved | undefined {
  const instance = instanceOf(week);
  return instance.ok ? judgedIn(instance.value, plan) : undefined;
}

function judgedIn(instance: Instance, written: readonly Placing[]): Solved | undefined {
  const plan = placedAs(instance, written);
  return plan && { plan, score: scoreOf(instance, plan), bounds: boundsOf(instance) };
}

/**
 * A plan that stands, bettered and bounded while there is time; undefined where it is none of this week. Whoever asks for
 * a better one is told what it moves: that is not weighed against it.
 */
export async function betterThan(
  week: Week,
  stands: readonly Placing[],
  solver: Solver,
  watch: Watch,
): Promise<WeekPlan | undefined> {
  const instance = instanceOf(week);
  const from = instance.ok ? judgedIn(instance.value, stands) : undefined;
  if (!instance.ok || !from) return undefined;
  const fresh = instant(instance.value);
  const first = fresh.ok && compare(fresh.value.score, from.score) < 0 ? fresh.value : from;
  if (first !== from) watch.heard?.(first);
  return weekPlan(instance.value, await better(instance.value, first, solver, watch));
}

async function solvedFirst(instance: Instance, solver: Solver, watch: Watch): Promise<Solved | undefined> {
  const bounds = boundsOf(instance);
  // Where the hours that there are cannot hold the work, nothing more need be asked.
  if (bounds.end === Infinity || instance.tasks.length > SOLVED_MOST) return undefined;
  const plan = await anyPlan(instance, solver, watch);
  return typeof plan === 'string' ? undefined : { plan, score: scoreOf(instance, plan), bounds };
}
