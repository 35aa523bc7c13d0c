/** Half-open: `from` is worked in, `to` is not. Minutes. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** When something is open: stretches in order and apart; nothing said is always. */
export type OpenTime = readonly Stretch[] | undefined;

/** Stretches in order, those that touch made one, empty ones left out. */
export function stretches(pairs: readonly (readonly [number, number])[]): Stretch[] {
  const inOrder = pairs.filter(([from, to]) => from < to).toSorted(([a], [b]) => a - b);
  const joined: { from: number; to: number }[] = [];
  for (const [from, to] of inOrder) {
    const last = joined.at(-1);
    if (last && from <= last.to) last.to = Math.max(last.to, to);
    else joined.push({ from, to });
  }
  return joined;
}

/** When both are open. */
export function bothOpen(a: OpenTime, b: OpenTime): OpenTime {
  if (!a) return b;
  if (!b) return a;
  const common: Stretch[] = [];
  let [i, j] = [0, 0];
  for (let one = a[i], other = b[j]; one && other; one = a[i], other = b[j]) {
    const from = Math.max(one.from, other.from);
    const to = Math.min(one.to, other.to);
    if (from < to) common.push({ from, to });
    if (one.to < other.to) i++;
    else j++;
  }
  return common;
}

/** When one of them at least is open. */
export function anyOpen(all: readonly OpenTime[]): OpenTime {
  const pairs: [number, number][] = [];
  for (const open of all) {
    if (!open) return undefined;
    for (const { from, to } of open) pairs.push([from, to]);
  }
  return stretches(pairs);
}

/** Place of the first stretch that ends after `t`. */
export function firstAfter(open: readonly Stretch[], t: number): number {
  let [low, high] = [0, open.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((open[middle]?.to ?? Infinity) > t) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The first open minute at or after `t`; Infinity where there is none. */
export function openFrom(open: OpenTime, t: number): number {
  if (!open) return t;
  const next = open[firstAfter(open, t)];
  return next ? Math.max(next.from, t) : Infinity;
}

/** When `minutes` of work that begin at `start` are done, over closed hours where it must; Infinity where time runs out. */
export function workedOff(open: OpenTime, start: number, minutes: number): number {
  if (!open || minutes === 0) return start + minutes;
  let left = minutes;
  for (let i = firstAfter(open, start); i < open.length; i++) {
    const stretch = open[i];
    if (!stretch) break;
    const begun = Math.max(stretch.from, start);
    if (begun + left <= stretch.to) return begun + left;
    left -= stretch.to - begun;
  }
  return Infinity;
}

/** Open minutes within [from, to). */
export function minutesOpen(open: OpenTime, from: number, to: number): number {
  if (!open) return Math.max(0, to - from);
  let sum = 0;
  for (let i = firstAfter(open, from); i < open.length; i++) {
    const stretch = open[i];
    if (!stretch || stretch.from >= to) break;
    sum += Math.min(stretch.to, to) - Math.max(stretch.from, from);
  }
  return sum;
}
