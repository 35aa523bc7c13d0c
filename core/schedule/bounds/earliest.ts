import type { Instance, Task } from '../instance';
import { openFrom, workedOff } from '../open-time';
import { tails } from '../engine/rules';

/** When a task can begin and be over at the earliest, if nobody else wanted anything. */
export interface Heads {
  readonly start: (task: Task) => number;
  readonly end: (task: Task) => number;
}

/** By the chain of each job and the hours of those who can do it. */
export function earliestEnds({ tasks }: Instance): Heads {
  const starts = new Map<Task, number>();
  const ends = new Map<Task, number>();
  for (const task of tasks) {
    let from = task.release;
    for (const { task: before, lag } of task.before) from = Math.max(from, (ends.get(before) ?? 0) + lag);
    const ways = task.minutes === 0 ? [] : task.ways;
    const begin =
      task.pinned ?? Math.min(...ways.map(({ open }) => openFrom(open, from)), ways.length ? Infinity : from);
    const least = Math.min(
      ...ways.map(({ open }) => workedOff(open, openFrom(open, Math.max(begin, from)), task.minutes)),
      ways.length ? Infinity : begin,
    );
    starts.set(task, begin);
    ends.set(task, least);
  }
  return { start: (task) => starts.get(task) ?? 0, end: (task) => ends.get(task) ?? 0 };
}

/** Minutes of work and waits that follow the end of each task in its job, at the least. */
export function afterEach(instance: Instance): Map<Task, number> {
  return new Map([...tails(instance)].map(([task, minutes]) => [task, minutes - task.minutes]));
}
