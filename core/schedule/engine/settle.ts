import type { Instance, Resource, Task } from '../instance';
import { openFrom, workedOff } from '../open-time';
import { byStart, type Placed } from '../placed';
import { compare, scoreOf } from '../score';

/**
 * Work that would stand still over closed hours begins after them instead, where nothing and nobody waits for it: what is
 * left half done on a bench overnight is lost, moved or forgotten (common practice). Never a worse plan.
 */
export function settled(instance: Instance, plan: readonly Placed[]): readonly Placed[] {
  if (!instance.dated) return plan;
  const begins = new Map<Task, number>();
  const next = new Map<Resource, number>();
  const ends = new Map<Task['job'], number>();
  for (const { task, end } of plan) ends.set(task.job, Math.max(ends.get(task.job) ?? end, end));
  const moved = plan.toReversed().map((each): Placed => {
    const { task, way } = each;
    const { due = Infinity } = task.job;
    const by = Math.min(
      Math.max(due, ends.get(task.job) ?? due),
      ...task.after.map(({ task: after, lag }) => (begins.get(after) ?? Infinity) - lag),
      ...way.uses.map((use) => next.get(use) ?? Infinity),
    );
    const there = task.pinned === undefined ? inOne(each, by) : each;
    begins.set(task, there.start);
    if (task.minutes > 0) for (const use of way.uses) next.set(use, there.start);
    return there;
  });
  const better = moved.toSorted(byStart);
  return compare(scoreOf(instance, better), scoreOf(instance, plan)) < 0 ? better : plan;
}

/** The same work begun at the first minute from which it is done without a pause, if that is over in time. */
function inOne(each: Placed, by: number): Placed {
  const { task, way, start: first, end } = each;
  if (end - first === task.minutes || !way.open) return each;
  for (const { from, to } of way.open) {
    const start = Math.max(openFrom(way.open, first), from);
    if (start + task.minutes > by) return each;
    if (start < to && workedOff(way.open, start, task.minutes) === start + task.minutes)
      return { ...each, start, end: start + task.minutes };
  }
  return each;
}
