import { Busy } from './busy';
import type { Instance, Stood, Task, Way } from '../instance';
import { openFrom, workedOff } from '../open-time';
import { byStart, type Placed } from '../placed';
import { Ready } from './ready';

/** Less goes first. */
export type Priority = (task: Task) => number;

/** No plan was found in this order: what stood in the way. */
export interface Stuck {
  readonly task: Task;
  readonly why: 'no time left' | 'too late for a pin' | 'taken by a pin';
}

export interface Manner {
  /** Chooses among the ways of pinned tasks: with another number, another choice. */
  readonly turn?: number;
  /** Nothing earlier than it stood before, and by who was to do it where that costs nothing. */
  readonly asStood?: boolean;
}

/**
 * Serial generation: tasks one after the other, each as early as it can be where all that it follows stands, into a gap
 * where there is one. What is pinned to a minute is put first, and what that waits for goes before all else.
 */
export function generate(
  instance: Instance,
  priority: Priority,
  { turn = 0, asStood = false }: Manner = {},
): Placed[] | Stuck {
  const busy = instance.resources.map(({ open }) => new Busy(open));
  const placed: (Placed | undefined)[] = instance.tasks.map(() => undefined);
  const put = (task: Task, way: Way, start: number, end: number) => {
    placed[task.index] = { task, way, start, end };
    if (task.minutes > 0) for (const { index } of way.uses) busy[index]?.take(start, end);
  };

  const clash = putPinned(instance, busy, turn, put);
  if (clash) return { task: clash, why: 'taken by a pin' };

  const latest = latestEnds(instance);
  const waits = instance.tasks.map(({ before }) => before.length);
  const ready = new Ready(ranks(instance, priority, latest));
  for (const task of instance.tasks) if (task.before.length === 0) ready.push(task);
  for (let task = ready.pop(); task; task = ready.pop()) {
    const from = task.before.reduce(
      (soon, { task: before, lag }) => Math.max(soon, (placed[before.index]?.end ?? 0) + lag),
      task.release,
    );
    const there = placed[task.index];
    if (there) {
      if (from > there.start) return { task, why: 'too late for a pin' };
    } else {
      const stood = asStood ? instance.stood.get(task) : undefined;
      const best = soonest(task, Math.max(from, stood?.start ?? from), busy, stood);
      if (!best) return { task, why: 'no time left' };
      if (best.end > (latest[task.index] ?? Infinity)) return { task, why: 'too late for a pin' };
      put(task, best.way, best.start, best.end);
    }
    for (const { task: next } of task.after) {
      const left = (waits[next.index] ?? 0) - 1;
      waits[next.index] = left;
      if (left === 0) ready.push(next);
    }
  }
  return placed.filter((each) => each !== undefined).toSorted(byStart);
}

const byPin = (a: Task, b: Task) => (a.pinned ?? 0) - (b.pinned ?? 0);

/** Puts what is pinned to a minute; answers what cannot be. */
function putPinned(
  { tasks }: Instance,
  busy: readonly Busy[],
  turn: number,
  put: (task: Task, way: Way, start: number, end: number) => void,
): Task | undefined {
  let choice = turn;
  for (const task of tasks.filter(({ pinned }) => pinned !== undefined).toSorted(byPin)) {
    const start = task.pinned ?? 0;
    const free = task.ways.flatMap((way) => {
      const end = workedOff(way.open, start, task.minutes);
      const isOpen = task.minutes === 0 || openFrom(way.open, start) === start;
      const isFree =
        task.minutes === 0 || way.uses.every(({ index }) => busy[index]?.clash(start, end) === undefined);
      return isOpen && isFree && end < Infinity ? [{ way, end }] : [];
    });
    const taken = free[choice % Math.max(1, free.length)];
    choice = Math.floor(choice / Math.max(1, free.length));
    if (!taken || start < task.release) return task;
    put(task, taken.way, start, taken.end);
  }
  return undefined;
}

/** When each that a pin waits for has to be over; the others have no such time. */
function latestEnds({ tasks }: Instance): readonly (number | undefined)[] {
  const latest: (number | undefined)[] = [];
  for (const task of tasks.toReversed()) {
    const by = Math.min(
      ...task.after.map(
        ({ task: next, lag }) => (next.pinned ?? (latest[next.index] ?? Infinity) - next.minutes) - lag,
      ),
    );
    latest[task.index] = by < Infinity ? by : undefined;
  }
  return latest;
}

/** What a pin waits for goes first, by when it has to begin; the rest by the rule. */
const ranks = (
  { tasks }: Instance,
  priority: Priority,
  latest: readonly (number | undefined)[],
): readonly number[] =>
  tasks.map((task) => {
    const by = latest[task.index];
    return task.pinned !== undefined
      ? -Infinity
      : by === undefined
        ? priority(task)
        : by - task.minutes - FIRST;
  });
/** Larger than any priority. */
const FIRST = 1e12;

/** The way in which it is over soonest; of equal ones that of the person whom least else wants. */
function soonest(task: Task, from: number, busy: readonly Busy[], stood: Stood | undefined) {
  const still = stood && asItStood(task, from, busy, stood);
  if (still) return still;
  let best: { way: Way; start: number; end: number } | undefined;
  for (const ways of task.byPerson) {
    const gap = gapFor(task, ways, from, busy, best?.end ?? Infinity);
    if (!gap) continue;
    if (!best || gap.end < best.end || (gap.end === best.end && sought(gap.way) < sought(best.way)))
      best = gap;
  }
  return best;
}

const sought = ({ person }: Way): number => person?.sought ?? 0;

/** At its minute and by who was to do it, if that can still be. */
function asItStood(task: Task, from: number, busy: readonly Busy[], stood: Stood) {
  const same = task.ways.filter(
    ({ unit, person }) => unit?.id === stood.place && person?.id === stood.person,
  );
  const gap = gapFor(task, same, from, busy, Infinity);
  return gap?.start === stood.start ? gap : undefined;
}

/** The first gap in which this person and one of the units are free for it; the units keep the same hours. */
function gapFor(task: Task, ways: readonly Way[], from: number, busy: readonly Busy[], by: number) {
  const [first] = ways;
  if (!first) return undefined;
  if (task.minutes === 0) return { way: first, start: from, end: from };
  const person = first.person && busy[first.person.index];
  let t = from;
  for (;;) {
    const start = openFrom(first.open, t);
    const end = workedOff(first.open, start, task.minutes);
    if (end > by || end === Infinity) return undefined;
    const taken = person?.clash(start, end);
    if (taken !== undefined) {
      t = taken;
      continue;
    }
    let free = Infinity;
    for (const way of ways) {
      const clash = way.unit && busy[way.unit.index]?.clash(start, end);
      if (clash === undefined) return { way, start, end };
      free = Math.min(free, clash);
    }
    t = free;
  }
}
