import { prove } from './exact/prove';
import type { Solver } from './exact/solver';
import { improve, isBest } from './improve';
import type { Solved } from './instant';
import type { Instance } from './instance';
import type { Placed } from './placed';
import { compare, scoreOf } from './score';
import { settled } from './settle';
import { wander } from './wander';
import type { Watch } from './watch';

/** As many operations as the solver takes at once; a larger week is only searched. */
export const SOLVED_MOST = 300;
/** Of the time that there is, what goes into searching before the solver is asked. */
const SEARCHED = 0.1;
const SLICE_SECONDS = 0.5;
/** Slices without a better plan before it is left to the solver. */
const PATIENCE = 2;

/**
 * Goes on from a plan for as long as there is time: searches, and where the week is small enough has a constraint solver
 * better and bound it. Never worse than the plan it was given.
 */
export async function better(
  instance: Instance,
  from: Solved,
  solver: Solver,
  watch: Watch,
): Promise<Solved> {
  const isSolved = instance.tasks.length <= SOLVED_MOST;
  const until = isSolved ? watch.left() * (1 - SEARCHED) : 0;
  const searched = search(
    instance,
    from,
    { ...watch, left: () => watch.left() - until },
    isSolved ? PATIENCE : Infinity,
  );
  return isSolved ? prove(instance, searched, solver, watch) : searched;
}

/** As a whole and move by move in turn. */
function search(instance: Instance, from: Solved, watch: Watch, patience: number): Solved {
  let solved = from;
  let since = 0;
  for (let seed = 2; since < patience && watch.left() > 0 && !isBest(solved.score, solved.bounds); seed++) {
    since += 1;
    const by = watch.left() - SLICE_SECONDS;
    const budget = { puts: Infinity, isOver: () => watch.left() < Math.max(0, by) };
    take(
      seed % 2 === 0
        ? wander(instance, solved.plan, budget, seed)
        : improve(instance, solved.plan, budget, solved.bounds, seed),
    );
  }
  return solved;

  function take(found: readonly Placed[]): void {
    const plan = settled(instance, found);
    const score = scoreOf(instance, plan);
    if (compare(score, solved.score) >= 0) return;
    since = 0;
    solved = { ...solved, plan, score };
    watch.heard?.(solved);
  }
}
