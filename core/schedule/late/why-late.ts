import type { Instance, Order, Task } from '../instance';
import { openFrom } from '../open-time';
import type { Placed } from '../placed';
import { lateness } from '../score';

/** What a piece of work waited for until it began. */
export type WaitedFor =
  /** Work of its own job, or a wait after it. */
  | { readonly kind: 'follows'; readonly on: Placed }
  /** Whoever does it, or where it is done, was taken by this. */
  | { readonly kind: 'taken'; readonly on: Placed; readonly what: 'place' | 'person' }
  /** It could have begun as it was planned from. */
  | { readonly kind: 'nothing' };

export interface ChainLink {
  readonly placed: Placed;
  readonly waitedFor: WaitedFor;
  /** Minutes between what it waited for and its begin: nobody was open, or somebody said so. */
  readonly closed: number;
}

/** A job that is late, and the chain of waits that makes it so, the last one first. */
export interface LateJob {
  readonly job: Order;
  readonly minutes: number;
  readonly chain: readonly ChainLink[];
}

/** Every job that is late, those whose date nothing moves first, then the latest. */
export function lateJobs(instance: Instance, plan: readonly Placed[]): LateJob[] {
  const minutes = lateness(instance, plan);
  const at = new Map(plan.map((placed) => [placed.task, placed]));
  return instance.jobs
    .flatMap((job) => {
      const late = minutes[job.index] ?? 0;
      const last = job.tasks
        .flatMap((task) => at.get(task) ?? [])
        .reduce<Placed | undefined>(
          (latest, each) => (latest && latest.end >= each.end ? latest : each),
          undefined,
        );
      return late > 0 && last ? [{ job, minutes: late, chain: chainFrom(last, plan, at) }] : [];
    })
    .toSorted((a, b) => Number(b.job.hard) - Number(a.job.hard) || b.minutes - a.minutes);
}

function chainFrom(last: Placed, plan: readonly Placed[], at: ReadonlyMap<Task, Placed>): ChainLink[] {
  const chain: ChainLink[] = [];
  for (let placed: Placed | undefined = last; placed;) {
    const { waitedFor, from } = waitOf(placed, plan, at);
    const ready = openFrom(placed.way.open, from);
    chain.push({ placed, waitedFor, closed: Math.max(0, Math.min(placed.start, ready) - from) });
    placed = waitedFor.kind === 'nothing' ? undefined : waitedFor.on;
  }
  return chain;
}

/** What ended last of all that it had to wait for. */
function waitOf(placed: Placed, plan: readonly Placed[], at: ReadonlyMap<Task, Placed>) {
  let from = placed.task.release;
  let waitedFor: WaitedFor = { kind: 'nothing' };
  for (const { task, lag } of placed.task.before) {
    const on = at.get(task);
    if (on && on.end + lag > from) [from, waitedFor] = [on.end + lag, { kind: 'follows', on }];
  }
  if (placed.task.minutes === 0) return { waitedFor, from };
  for (const use of placed.way.uses)
    for (const on of plan)
      if (
        on !== placed &&
        on.task.minutes > 0 &&
        on.end <= placed.start &&
        on.end > from &&
        on.way.uses.includes(use)
      )
        [from, waitedFor] = [on.end, { kind: 'taken', on, what: use.kind }];
  return { waitedFor, from };
}
