import type { Instance, Resource, Way } from '../instance';
import { byStart, type Placed } from '../placed';
import type { Model } from './model';
import type { Solution } from './solver';

/** A solution as a plan: units of a place are handed out as they come free. */
export function planOf(
  { tasks, resources }: Instance,
  { rows }: Model,
  { s, r }: Solution,
): readonly Placed[] {
  const free = new Array<number>(resources.length).fill(-Infinity);
  const chosen = tasks.map((task, i) => {
    const row = rows[i]?.[(r[i] ?? 1) - 1];
    const start = s[i] ?? 0;
    const ways = task.ways.filter(({ person }) => (person?.index ?? -1) === (row?.person ?? -1));
    return { task, ways, start, end: start + task.minutes + (row?.closed ?? 0) };
  });
  return chosen
    .toSorted((a, b) => a.start - b.start || a.end - b.end || a.task.index - b.task.index)
    .map(({ task, ways, start, end }): Placed => {
      const [first] = ways;
      if (!first) throw new Error('the solver chose nobody');
      const way = ways.find((each) => isFree(each.unit, free, start)) ?? first;
      if (way.unit && task.minutes > 0) free[way.unit.index] = end;
      return { task, way, start, end };
    })
    .toSorted(byStart);
}

const isFree = (unit: Way['unit'], free: readonly number[], start: number): boolean =>
  !unit || freeAt(unit, free) <= start;
const freeAt = ({ index }: Resource, free: readonly number[]) => free[index] ?? -Infinity;
