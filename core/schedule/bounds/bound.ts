import type { Instance, Resource, Task } from '../instance';
import { anyOpen, openFrom, workedOff, type OpenTime } from '../open-time';
import { afterEach, earliestEnds, type Heads } from './earliest';
import { grouped } from '../grouped';
import { shortestLeftFirst, longestTailFirst, type OneTask } from './one-resource';
import type { Score } from '../score';

/** No plan is better than this, one figure at a time. */
export type Bounds = Pick<Score, 'hard' | 'late' | 'end'>;

/**
 * Simple lower bounds: a job cannot be over before its own chain, and what wants the same hands goes one after the
 * other. Good for a week where one machine or one person holds all up; the solver proves better ones.
 */
export function boundsOf(instance: Instance): Bounds {
  const heads = earliestEnds(instance);
  const tail = afterEach(instance);
  const groups = groupsOf(instance);
  const onHands = groups.map((group) => tasksOn(group, heads, tail));
  const end = Math.max(
    0,
    ...instance.tasks.map((task) => heads.end(task) + (tail.get(task) ?? 0)),
    ...groups.map((group, i) => endOf(group, onHands[i] ?? [])),
  );
  const own = instance.jobs.map(({ tasks, due }) =>
    due === undefined ? 0 : Math.max(0, Math.max(-Infinity, ...tasks.map(heads.end)) - due),
  );
  const alone = (hard: boolean) =>
    instance.jobs.reduce((sum, job, i) => sum + (hard ? (job.hard ? 1 : 0) : job.weight) * (own[i] ?? 0), 0);
  const queued = (hard: boolean) =>
    Math.max(0, ...groups.map((group, i) => queuedLateness(group, onHands[i] ?? [], hard)));
  return { hard: Math.max(alone(true), queued(true)), late: Math.max(alone(false), queued(false)), end };
}

/** Hands that some tasks cannot do without: a place with all its units, or a set of people. */
interface Group {
  readonly count: number;
  readonly open: OpenTime;
  readonly tasks: readonly Task[];
}

function groupsOf({ resources, tasks }: Instance): Group[] {
  const groups: Group[] = [];
  const places = grouped(
    resources.filter(({ kind }) => kind === 'place'),
    ({ id }) => id,
  );
  for (const [id, units] of places)
    groups.push({
      count: units.length,
      open: units[0]?.open,
      tasks: tasks.filter(({ ways, minutes }) => minutes > 0 && ways[0]?.unit?.id === id),
    });
  const peopleOf = (task: Task) => new Set(task.ways.flatMap(({ person }) => (person ? [person] : [])));
  const sets = new Map<string, ReadonlySet<Resource>>();
  for (const task of tasks) {
    const people = peopleOf(task);
    if (people.size > 0)
      sets.set(
        [...people]
          .map(({ index }) => index)
          .toSorted((a, b) => a - b)
          .join(),
        people,
      );
  }
  for (const people of sets.values())
    groups.push({
      count: people.size,
      open: anyOpen([...people].map(({ open }) => open)),
      tasks: tasks.filter((task) => {
        const own = peopleOf(task);
        return task.minutes > 0 && own.size > 0 && [...own].every((each) => people.has(each));
      }),
    });
  return groups.filter(({ tasks: wanted }) => wanted.length > 0);
}

const tasksOn = ({ tasks }: Group, heads: Heads, tail: ReadonlyMap<Task, number>): OneTask[] =>
  tasks.map((task) => ({ task, minutes: task.minutes, head: heads.start(task), tail: tail.get(task) ?? 0 }));

/** One after the other on one pair of hands, with interruptions allowed; shared out evenly among several. */
function endOf({ count, open }: Group, all: readonly OneTask[]): number {
  if (count === 1) return longestTailFirst(all, open);
  const first = Math.min(...all.map(({ head }) => head));
  const least = Math.min(...all.map(({ tail }) => tail));
  const work = Math.ceil(all.reduce((sum, { minutes }) => sum + minutes, 0) / count);
  const from = openFrom(open, first);
  return workedOff(open, from, work) + least;
}

/** The least that all jobs together are late, where they queue for one pair of hands. */
function queuedLateness({ count, open }: Group, all: readonly OneTask[], hard: boolean): number {
  if (count !== 1) return 0;
  const byJob = grouped(
    all.filter(({ task: { job } }) => job.due !== undefined && (job.hard || !hard)),
    ({ task }) => task.job,
  );
  const weight = hard ? 1 : Math.min(...[...byJob.keys()].map((job) => job.weight));
  const merged = [...byJob].map(([job, tasks]) => ({
    minutes: tasks.reduce((sum, { minutes }) => sum + minutes, 0),
    head: Math.min(...tasks.map(({ head }) => head)),
    due: (job.due ?? Infinity) - Math.min(...tasks.map(({ tail }) => tail)),
  }));
  const dues = merged.map(({ due }) => due).toSorted((a, b) => a - b);
  const late = shortestLeftFirst(merged, open).reduce(
    (sum, end, i) => sum + Math.max(0, end - (dues[i] ?? Infinity)),
    0,
  );
  return merged.length === 0 ? 0 : late * weight;
}
