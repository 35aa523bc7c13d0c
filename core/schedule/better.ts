import { prove } from './exact/prove';
import { byWindows } from './exact/windows';
import type { Solver } from './exact/solver';
import { improve, isBest } from './engine/improve';
import type { Solved } from './engine/instant';
import type { Instance } from './instance';
import type { Placed } from './placed';
import { compare, scoreOf } from './score';
import { settled } from './engine/settle';
import { wander } from './engine/wander';
import type { Watch } from './watch';

/** As many operations as the solver takes at once; a larger week is solved in windows. */
export const SOLVED_MOST = 300;
/** With dates and people it proves no more than so many as a whole within minutes: windows come first. */
const PROVED_MOST = 80;
/** Of the time that there is, what goes into searching before the solver is asked of the whole, or of windows. */
const BEFORE_ALL = 0.1;
const BEFORE_WINDOWS = 0.4;
const BEFORE_PROOF = 0.6;
const SLICE_SECONDS = 0.5;
/** Slices without a better plan before it is left to the solver. */
const PATIENCE = 2;

/**
 * Goes on from a plan for as long as there is time: searches, and has a constraint solver better it, the whole where the
 * week is small enough to be proved, else window by window what is late. Never worse than the plan it was given.
 */
export async function better(
  instance: Instance,
  from: Solved,
  solver: Solver,
  watch: Watch,
): Promise<Solved> {
  const { length } = instance.tasks;
  if (length <= (instance.dated ? PROVED_MOST : SOLVED_MOST))
    return prove(instance, search(instance, from, share(watch, BEFORE_ALL), PATIENCE), solver, watch);
  // Where nobody is late only the end is left, and searching comes as near to its bound as windows would.
  const isLate = from.score.late > from.bounds.late;
  const searched = search(instance, from, isLate ? share(watch, BEFORE_WINDOWS) : watch, Infinity);
  if (!isLate) return searched;
  if (length > SOLVED_MOST) return byWindows(instance, searched, solver, watch);
  return prove(
    instance,
    await byWindows(instance, searched, solver, share(watch, BEFORE_PROOF)),
    solver,
    watch,
  );
}

/** A watch for a part of the time that is left. */
function share(watch: Watch, part: number): Watch {
  const kept = watch.left() * (1 - part);
  return { ...watch, left: () => watch.left() - kept };
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
