import type { Instance, Resource, Task } from './instance';
import type { Placed } from './placed';
import type { Placing } from './week';

/**
 * A plan that was written down, as the engines see it; undefined where one of its operations is not of this week, or
 * nobody can do it where and by whom it says. Which of several units of a place each is on was not written: one that is free.
 */
export function placedAs(instance: Instance, plan: readonly Placing[]): Placed[] | undefined {
  const taskOf = new Map(instance.tasks.map((task) => [nameOf(task), task]));
  const freeFrom = new Map<Resource, number>();
  const placed: Placed[] = [];
  for (const { job, id, place, person, start, end } of plan.toSorted((a, b) => a.start - b.start)) {
    const task = taskOf.get(JSON.stringify([job, id]));
    const ways = task?.ways.filter(({ unit, person: by }) => unit?.id === place && by?.id === person) ?? [];
    const way = ways.find(({ unit }) => !unit || (freeFrom.get(unit) ?? -Infinity) <= start) ?? ways[0];
    if (!task || !way) return undefined;
    if (way.unit) freeFrom.set(way.unit, end);
    placed.push({ task, way, start, end });
  }
  return placed.length === instance.tasks.length ? placed : undefined;
}

const nameOf = ({ job, id }: Task): string => JSON.stringify([job.id, id]);
