import type { Task, Way } from './instance';

/** A task where it was put: [start, end) on the wall clock. */
export interface Placed {
  readonly task: Task;
  readonly way: Way;
  readonly start: number;
  readonly end: number;
}

/** By start; of two that begin together the one that the other follows. */
export const byStart = (a: Placed, b: Placed): number =>
  a.start - b.start || a.end - b.end || a.task.index - b.task.index;
