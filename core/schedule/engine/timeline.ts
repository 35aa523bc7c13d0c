import type { Instance, Task, Way } from '../instance';
import { openFrom, workedOff } from '../open-time';
import type { Placed } from '../placed';

/** Why a task begins when it does: what ended last before it, and whether that is work before it or somebody's hands. */
export interface Held {
  readonly by: Task;
  readonly how: 'follows' | 'taken';
}

/** A plan built again out of an order of tasks: each after all that stands before it on its unit and its person. */
export interface Built {
  readonly plan: readonly Placed[];
  readonly held: readonly (Held | undefined)[];
}

/** What differs from the tasks as they are, by their index. */
export interface Given {
  /** Nothing begins before its floor. */
  readonly floors?: readonly number[];
  /** As long as it takes this time. */
  readonly minutes?: readonly number[];
}

/** The same plan put down again: in its order and by its hands, as early as that allows. */
export function buildAgain(
  instance: Instance,
  plan: readonly Placed[],
  given: Given = {},
): Built | undefined {
  return build(
    instance,
    plan.map(({ task }) => task),
    waysIn(plan),
    given,
  );
}

/** Who does each task and where, by its index. */
export function waysIn(plan: readonly Placed[]): Way[] {
  const ways: Way[] = [];
  for (const { task, way } of plan) ways[task.index] = way;
  return ways;
}

/**
 * Puts tasks one behind the other in the order given, each as early as that allows. Answers nothing where the order
 * breaks a pin or time runs out. An order that is sorted by start gives a plan that is never later than the one it was
 * sorted from.
 */
export function build(
  { resources, tasks }: Instance,
  order: readonly Task[],
  ways: readonly Way[],
  { floors = [], minutes = [] }: Given = {},
): Built | undefined {
  const free = new Array<number>(resources.length).fill(-Infinity);
  const last = new Array<Task | undefined>(resources.length).fill(undefined);
  const ends = new Array<number>(tasks.length).fill(0);
  const held = new Array<Held | undefined>(tasks.length).fill(undefined);
  const plan: Placed[] = [];
  for (const task of order) {
    const way = ways[task.index];
    if (!way) return undefined;
    const takes = minutes[task.index] ?? task.minutes;
    let from = Math.max(task.release, floors[task.index] ?? 0);
    let by: Task | undefined;
    let how: Held['how'] = 'follows';
    for (const { task: before, lag } of task.before) {
      const ready = (ends[before.index] ?? 0) + lag;
      if (ready > from) [from, by] = [ready, before];
    }
    if (takes > 0)
      for (const { index } of way.uses) {
        const ready = free[index] ?? 0;
        if (ready > from) [from, by, how] = [ready, last[index], 'taken'];
      }
    const open = takes === 0 ? from : openFrom(way.open, from);
    if (task.pinned !== undefined && open > task.pinned) return undefined;
    const start = task.pinned ?? open;
    const end = workedOff(way.open, start, takes);
    if (end === Infinity) return undefined;
    ends[task.index] = end;
    if (by && task.pinned === undefined) held[task.index] = { by, how };
    if (takes > 0)
      for (const { index } of way.uses) {
        free[index] = end;
        last[index] = task;
      }
    plan.push({ task, way, start, end });
  }
  return { plan, held };
}
