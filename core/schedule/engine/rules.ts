import type { Priority } from './generate';
import type { Instance, Task } from '../instance';

/** Minutes of work and waits from the beginning of a task to the end of its job, at the least. */
export function tails({ tasks }: Instance): Map<Task, number> {
  const tail = new Map<Task, number>();
  for (const task of tasks.toReversed()) {
    const after = Math.max(0, ...task.after.map(({ task: next, lag }) => lag + (tail.get(next) ?? 0)));
    tail.set(task, task.minutes + after);
  }
  return tail;
}

/** Work that is left of a job from a task on, whether one after the other or side by side. */
function workLeft({ jobs }: Instance): Map<Task, number> {
  const left = new Map<Task, number>();
  for (const { tasks } of jobs) {
    let sum = 0;
    for (const task of tasks.toReversed()) left.set(task, (sum += task.minutes));
  }
  return left;
}

const NEVER = 1e9;

/** In the order in which it stood, and what is new by its date. */
export const asItStood =
  ({ stood }: Instance): Priority =>
  (task) =>
    stood.get(task)?.start ?? task.job.due ?? NEVER;

/** Rules by which shops put work in order (common practice): of a task, less goes first. */
export function rules(instance: Instance): Readonly<Record<string, Priority>> {
  const tail = tails(instance);
  const left = workLeft(instance);
  const due = ({ job }: Task) => job.due ?? NEVER;
  const slack = (task: Task) => due(task) - (tail.get(task) ?? 0);
  const always: Record<string, Priority> = {
    'longest way to go': (task) => -(tail.get(task) ?? 0),
    'most work left': (task) => -(left.get(task) ?? 0),
    'first come': (task) => task.job.index,
  };
  if (!instance.dated) return { ...always, 'longest first': (task) => -task.minutes };
  return {
    ...always,
    'first due': due,
    slack,
    'slack by weight': (task) => (task.job.hard ? -NEVER : 0) + slack(task) / Math.max(task.job.weight, 1e-3),
    'least work left': (task) => (left.get(task) ?? 0) / Math.max(task.job.weight, 1e-3),
  };
}
