import { afterEach } from '../bounds/earliest';
import type { Instance, Link, Order, Task } from '../instance';
import type { Placed } from '../placed';

/** A piece of a plan that is solved by itself: work that may move, among work that stands. */
export interface Window {
  readonly instance: Instance;
  /** The piece as it is now, by its own tasks. */
  readonly plan: readonly Placed[];
  /** What each task of the piece is in the whole. */
  readonly whole: ReadonlyMap<Task, Task>;
  /** Nothing in it ends later. */
  readonly until: number;
}

/**
 * The work that is nearest to a minute, as many tasks as asked: each not before what it follows outside, due when what
 * follows it would have to begin. What else is on the same hands meanwhile stands where it is.
 */
export function windowAt(instance: Instance, plan: readonly Placed[], minute: number, size: number): Window {
  const at = new Map(plan.map((each) => [each.task, each]));
  const free = plan
    .filter(({ task }) => task.pinned === undefined)
    .toSorted((a, b) => Math.abs(a.start - minute) - Math.abs(b.start - minute))
    .slice(0, size);
  const from = Math.min(...free.map(({ start }) => start));
  const until = Math.max(...free.map(({ end }) => end));
  const isFree = new Set(free.map(({ task }) => task));
  const hands = new Set(free.flatMap(({ task }) => task.ways.flatMap(({ uses }) => uses)));
  const standing = plan.filter(
    ({ task, way, start, end }) =>
      !isFree.has(task) && start < until && end > from && way.uses.some((each) => hands.has(each)),
  );
  const tail = afterEach(instance);
  const jobs = new Map<Order | undefined, Order & { readonly tasks: Task[] }>();
  const made = new Map<Task, Task & { readonly before: Link[]; readonly after: Link[] }>();
  const inOrder = [...free, ...standing].map(({ task }) => task).toSorted((a, b) => a.index - b.index);
  for (const task of inOrder) {
    const stands = at.get(task);
    if (!stands) continue;
    const moves = isFree.has(task);
    const release = Math.max(
      from,
      task.release,
      ...task.before.map(({ task: first, lag }) => (isFree.has(first) ? 0 : (at.get(first)?.end ?? 0) + lag)),
    );
    // What stands is nobody's: it makes none of the jobs later.
    const named = moves ? task.job : undefined;
    const job = jobs.get(named) ?? jobOf(task.job, jobs.size, moves ? isFree : new Set(), tail);
    jobs.set(named, job);
    const [before, after]: [Link[], Link[]] = [[], []];
    const own = {
      ...task,
      index: made.size,
      job,
      release: moves ? release : 0,
      before,
      after,
      ...(moves ? {} : { ways: [stands.way], byPerson: [[stands.way]], pinned: stands.start }),
    };
    job.tasks.push(own);
    if (moves)
      for (const { task: first, lag } of task.before) {
        const earlier = isFree.has(first) ? made.get(first) : undefined;
        if (!earlier) continue;
        before.push({ task: earlier, lag });
        earlier.after.push({ task: own, lag });
      }
    made.set(task, own);
  }
  const piece = [...made];
  return {
    instance: {
      jobs: [...jobs.values()],
      tasks: piece.map(([, own]) => own),
      resources: instance.resources,
      dated: instance.dated,
      stood: new Map(),
      firmUntil: 0,
    },
    plan: piece.flatMap(([task, own]) => {
      const stands = at.get(task);
      return stands ? [{ ...stands, task: own }] : [];
    }),
    whole: new Map(piece.map(([task, own]) => [own, task])),
    until,
  };
}

/** A job within the window: due when what follows its work there would have to begin. */
function jobOf(
  job: Order,
  index: number,
  isFree: ReadonlySet<Task>,
  tail: ReadonlyMap<Task, number>,
): Order & { readonly tasks: Task[] } {
  const { due, ...rest } = job;
  const last = job.tasks.filter((task) => isFree.has(task));
  const left = Math.min(...last.map((task) => tail.get(task) ?? 0));
  return {
    ...rest,
    index,
    tasks: [],
    ...(due === undefined || last.length === 0 ? {} : { due: due - left }),
  };
}
