import type { Budget } from './improve';
import { generate } from './generate';
import type { Instance } from '../instance';
import { mirrored } from './mirror';
import type { Placed } from '../placed';
import { randomFrom } from './random';
import { compare, scoreOf } from '../score';

/** How far a start is thrown before the plan is made again, at the most: a part of the whole plan. */
const THROWS = [0, 0.005, 0.02, 0.06];
/** Where little work makes up the plan, it can be another one altogether. */
const FAR = [...THROWS, 0.2, 1];
const LITTLE = 250;

/**
 * Makes a plan again and again by its own order, thrown a little; where only the end counts, pushed to the right and
 * back to the left each time, which closes gaps (justification: Valls, Ballestín and Quintanilla 2005). Keeps the best.
 * For weeks too large to be searched move by move.
 */
export function wander(
  instance: Instance,
  first: readonly Placed[],
  budget: Budget,
  seed = 1,
): readonly Placed[] {
  const random = randomFrom(seed);
  let best = first;
  let score = scoreOf(instance, best);
  let here = best;
  let puts = 0;
  const mirror = instance.dated ? undefined : mirrored(instance, Math.max(0, ...first.map(({ end }) => end)));
  const throws = instance.tasks.length <= LITTLE ? FAR : THROWS;
  for (let round = 0; puts < budget.puts && !budget.isOver(); round++) {
    const length = Math.max(0, ...here.map(({ end }) => end));
    const thrown = (throws[round % throws.length] ?? 0) * length;
    const throwTo = (start: number) => start + thrown * (random() - 0.5);
    const pushed = mirror
      ? pushedRight(mirror, here, throwTo)
      : new Map(here.map(({ task, start }) => [task.index, throwTo(start)]));
    const made = pushed && generate(instance, (task) => pushed.get(task.index) ?? 0);
    puts += 2 * instance.tasks.length + 1;
    if (!Array.isArray(made)) continue;
    const its = scoreOf(instance, made);
    if (compare(its, score) < 0) [best, score] = [made, its];
    // From what is a little worse as well, now and then from the best again.
    here = round % 8 === 7 ? best : made;
  }
  return best;
}

/** Where each task would begin if all were as late as they can be, by the mirrored plan. */
function pushedRight(mirror: Instance, plan: readonly Placed[], throwTo: (end: number) => number) {
  const last = mirror.tasks.length - 1;
  const ends = new Map(plan.map(({ task, end }) => [last - task.index, -throwTo(end)]));
  const back = generate(mirror, (task) => ends.get(task.index) ?? 0);
  if (!Array.isArray(back)) return undefined;
  return new Map(back.map(({ task, end }) => [last - task.index, -end]));
}
