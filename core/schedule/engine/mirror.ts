import type { Instance, Link, Resource, Task, Way } from '../instance';
import type { OpenTime } from '../open-time';

/**
 * The same work in a mirror: what came last comes first, and hours run backwards from `end`. Early in it is late in the
 * other. Nothing in it has a date or is pinned.
 */
export function mirrored(instance: Instance, end: number): Instance {
  const turned = (open: OpenTime): OpenTime =>
    open?.map(({ from, to }) => ({ from: end - to, to: end - from })).toReversed();
  const resources = instance.resources.map((each): Resource => ({ ...each, open: turned(each.open) }));
  const ways = new Map<Way, Way>();
  const wayOf = (way: Way): Way => {
    const known = ways.get(way);
    if (known) return known;
    const uses = way.uses.flatMap(({ index }) => resources[index] ?? []);
    const made: Way = {
      ...(way.unit && { unit: resources[way.unit.index] ?? way.unit }),
      ...(way.person && { person: resources[way.person.index] ?? way.person }),
      open: turned(way.open),
      uses,
    };
    ways.set(way, made);
    return made;
  };
  const last = instance.tasks.length - 1;
  const links = instance.tasks.map((): { before: Link[]; after: Link[] } => ({ before: [], after: [] }));
  const tasks = instance.tasks
    .map((task): Task => {
      const own = task.byPerson.map((each) => each.map(wayOf));
      return {
        index: last - task.index,
        job: task.job,
        id: task.id,
        minutes: task.minutes,
        release: 0,
        ways: own.flat(),
        byPerson: own,
        before: links[task.index]?.before ?? [],
        after: links[task.index]?.after ?? [],
      };
    })
    .toReversed();
  for (const { index, before } of instance.tasks)
    for (const { task, lag } of before) {
      const [earlier, later] = [tasks[last - task.index], tasks[last - index]];
      if (!earlier || !later) continue;
      links[index]?.after.push({ task: earlier, lag });
      links[task.index]?.before.push({ task: later, lag });
    }
  return { jobs: instance.jobs, tasks, resources, dated: false, stood: new Map(), firmUntil: 0 };
}
