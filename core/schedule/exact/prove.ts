import type { Bounds } from '../bounds/bound';
import type { Solved } from '../engine/instant';
import type { Instance } from '../instance';
import type { Placed } from '../placed';
import { compare, scoreOf, type Score } from '../score';
import { settled } from '../engine/settle';
import { buildAgain } from '../engine/timeline';
import { modelOf, type Level } from './model';
import { planOf } from './read';
import type { Solver } from './solver';
import type { Watch } from '../watch';

const LEVELS: readonly Level[] = ['hard', 'late', 'end'];

/**
 * Asks a constraint solver to better a plan, one figure after the other in strict order, each with those before it no
 * worse; what it proves becomes the bound. Never worse than the plan it was given.
 */
export async function prove(instance: Instance, from: Solved, solver: Solver, watch: Watch): Promise<Solved> {
  let solved = from;
  const take = (plan: readonly Placed[]) => {
    const score = scoreOf(instance, plan);
    if (compare(score, solved.score) >= 0) return;
    solved = { ...solved, plan, score };
    watch.heard?.(solved);
  };
  for (const level of LEVELS) {
    if (solved.score[level] <= solved.bounds[level]) continue;
    const seconds = watch.left();
    if (seconds <= 0) return solved;
    const model = modelOf(instance, { level, score: solved.score });
    let least = Infinity;
    const outcome = await solver.run(model.text, seconds, (solution) => {
      const plan = planOf(instance, model, solution);
      least = Math.min(least, scoreOf(instance, plan)[level]);
      take(closed(instance, plan));
    });
    if (outcome === 'stopped') return solved;
    if (least < Infinity !== (outcome === 'best'))
      throw new Error('the solver says one thing and shows another');
    if (!model.isExact && level !== 'hard') continue;
    // What it found may end sooner and stand still more often, which is wanted less: the bound holds for both.
    const bound = Math.min(least, solved.score[level]);
    solved = { ...solved, bounds: { ...solved.bounds, [level]: bound } satisfies Bounds };
  }
  return solved;
}

const ANYTHING: Score = { hard: Infinity, late: Infinity, moved: 0, pauses: 0, end: Infinity };

/** Any plan at all of work for which searching found none: proved that there is none, or `stopped`. */
export async function anyPlan(
  instance: Instance,
  solver: Solver,
  watch: Watch,
): Promise<readonly Placed[] | 'none' | 'stopped'> {
  const model = modelOf(instance, { level: 'end', score: ANYTHING });
  let plan: readonly Placed[] | undefined;
  const outcome = await solver.run(model.text, watch.left(), (solution) => {
    plan = closed(instance, planOf(instance, model, solution));
  });
  return plan ?? (outcome === 'none' ? 'none' : 'stopped');
}

/** The solver leaves gaps that nothing wants: all is put as early as its order allows. */
function closed(instance: Instance, plan: readonly Placed[]): readonly Placed[] {
  const built = buildAgain(instance, plan);
  return settled(
    instance,
    built && compare(scoreOf(instance, built.plan), scoreOf(instance, plan)) <= 0 ? built.plan : plan,
  );
}
