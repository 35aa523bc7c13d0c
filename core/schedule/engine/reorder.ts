import type { Task, Way } from '../instance';
import type { Turn } from './critical';

/**
 * The order in which `later` goes before `earlier`, with all that `later` waits for on the way; nothing where `earlier` is
 * among that. What is on the same hands keeps its order but for the two.
 */
export function turned(
  order: readonly Task[],
  at: readonly number[],
  ways: readonly Way[],
  turn: Turn,
): Task[] | undefined {
  const from = at[turn.earlier.index] ?? 0;
  const to = at[turn.later.index] ?? 0;
  const goes = new Set<Task>([turn.later]);
  const hands = new Set(ways[turn.later.index]?.uses);
  const [ahead, behind]: [Task[], Task[]] = [[turn.later], []];
  for (let i = to - 1; i > from; i--) {
    const task = order[i];
    if (!task) return undefined;
    const uses = ways[task.index]?.uses ?? [];
    if (task.after.some(({ task: next }) => goes.has(next)) || uses.some((each) => hands.has(each))) {
      if (task.before.some(({ task: before }) => before === turn.earlier)) return undefined;
      goes.add(task);
      for (const each of uses) hands.add(each);
      ahead.push(task);
    } else behind.push(task);
  }
  if (turn.earlier.after.some(({ task }) => goes.has(task))) return undefined;
  return [
    ...order.slice(0, from),
    ...ahead.reverse(),
    turn.earlier,
    ...behind.reverse(),
    ...order.slice(to + 1),
  ];
}
