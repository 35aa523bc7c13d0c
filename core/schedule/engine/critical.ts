import type { Instance, Task } from '../instance';
import { lateness, type Score } from '../score';
import type { Built } from './timeline';

/** `later` begins when `earlier` ends, for they want the same hands: turned round, the plan may be shorter. */
export interface Turn {
  readonly earlier: Task;
  readonly later: Task;
}

/** What holds up a plan where it hurts: tasks on the chains that end what is late, or the whole. */
export interface Critical {
  readonly turns: readonly Turn[];
  readonly tasks: readonly Task[];
}

/** Chains behind the jobs that are late, or behind the end where none is. */
export function criticalOf(instance: Instance, { plan, held }: Built, score: Score): Critical {
  const seen = new Set<Task>();
  const turns: Turn[] = [];
  const block: Turn[] = [];
  const close = () => {
    // Within a run on the same hands only its ends can matter (Brucker, Jurisch and Sievers 1994).
    const [first, last] = [block[0], block.at(-1)];
    if (first) turns.push(first);
    if (last && last !== first) turns.push(last);
    block.length = 0;
  };
  for (const end of endsThatHurt(instance, plan, score)) {
    let task: Task | undefined = end;
    while (task && !seen.has(task)) {
      seen.add(task);
      const why: Built['held'][number] = held[task.index];
      if (why?.how === 'taken') block.push({ earlier: why.by, later: task });
      else close();
      task = why?.by;
    }
    close();
  }
  return { turns, tasks: [...seen] };
}

function endsThatHurt(instance: Instance, plan: Built['plan'], { hard, late, end }: Score): Task[] {
  if (hard === 0 && late === 0) return plan.filter((each) => each.end === end).map(({ task }) => task);
  const minutes = lateness(instance, plan);
  const last = new Map<number, Built['plan'][number]>();
  for (const each of plan) {
    const { index, hard: fixed } = each.task.job;
    if ((minutes[index] ?? 0) === 0 || (hard > 0 && !fixed)) continue;
    const before = last.get(index);
    if (!before || each.end > before.end) last.set(index, each);
  }
  return [...last.values()].map(({ task }) => task);
}
