import type { Task } from '../instance';
import { openFrom, workedOff, type OpenTime } from '../open-time';

/** Work on one pair of hands: not before `head`, and after it at least `tail` until the end of its job. Minutes. */
export interface OneTask {
  readonly task: Task;
  readonly minutes: number;
  readonly head: number;
  readonly tail: number;
}

interface Left<T> {
  readonly of: T;
  left: number;
}

/**
 * Goes through open time giving each moment to the one that `first` prefers of those that are there, interrupting as
 * better ones come; `over` hears when each is done.
 */
function interrupted<T extends { readonly minutes: number; readonly head: number }>(
  all: readonly T[],
  open: OpenTime,
  prefers: (a: Left<T>, b: Left<T>) => number,
  over: (of: T, end: number) => void,
): void {
  const coming = all.map((of) => ({ of, left: of.minutes })).toSorted((a, b) => a.of.head - b.of.head);
  const there: Left<T>[] = [];
  let t = -Infinity;
  while (coming.length > 0 || there.length > 0) {
    if (there.length === 0) t = Math.max(t, coming[0]?.of.head ?? t);
    while ((coming[0]?.of.head ?? Infinity) <= t) there.push(...coming.splice(0, 1));
    there.sort(prefers);
    const now = there[0];
    if (!now) continue;
    const from = openFrom(open, t);
    const next = coming[0]?.of.head ?? Infinity;
    if (from >= next) {
      t = next;
      continue;
    }
    const end = workedOff(open, from, now.left);
    if (end <= next) {
      over(now.of, end);
      there.shift();
      t = end;
      if (end === Infinity) return;
    } else {
      now.left -= worked(open, from, next);
      t = next;
    }
  }
}

function worked(open: OpenTime, from: number, to: number): number {
  if (!open) return to - from;
  return open.reduce((sum, each) => sum + Math.max(0, Math.min(each.to, to) - Math.max(each.from, from)), 0);
}

/** The least end of all where tails follow: Jackson's preemptive schedule (Carlier and Pinson 1989). */
export function longestTailFirst(all: readonly OneTask[], open: OpenTime): number {
  let end = 0;
  interrupted(
    all,
    open,
    (a, b) => b.of.tail - a.of.tail,
    (of, over) => {
      end = Math.max(end, over + of.tail);
    },
  );
  return end;
}

/**
 * Ends in the order in which they come when the shortest left goes first: no other order has its k-th end sooner
 * (Chu 1992).
 */
export function shortestLeftFirst(
  all: readonly { readonly minutes: number; readonly head: number }[],
  open: OpenTime,
): number[] {
  const ends: number[] = [];
  interrupted(
    all,
    open,
    (a, b) => a.left - b.left,
    (_, end) => ends.push(end),
  );
  return ends;
}
