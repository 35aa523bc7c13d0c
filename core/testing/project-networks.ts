import { randomFrom } from '../schedule/engine/random';
import { weekFile, type Week } from '../schedule';

/** What a generated project is like, in the terms of Kolisch, Sprecher and Drexl 1995. */
export interface ProjectKind {
  readonly activities: number;
  /** Arcs that say something for each activity. */
  readonly complexity: number;
  readonly resources: number;
  /** From 0, each resource as scarce as can be, to 1, enough for all that could be at once. */
  readonly strength: number;
}

/**
 * A project by the rules of that generator: three to begin with, three to end with, each with a follower, then arcs by
 * chance that say something new until there are enough; a minute to ten each; one unit of one resource each.
 */
export function project({ activities, complexity, resources, strength }: ProjectKind, seed: number): Week {
  const random = randomFrom(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const ends = 3;
  const after: Set<number>[] = Array.from({ length: activities }, () => new Set());
  const reaches = (from: number, to: number): boolean =>
    [...(after[to] ?? [])].some((each) => each === from || reaches(from, each));
  for (let i = ends; i < activities; i++) after[i]?.add(whole(0, Math.min(i, activities - ends) - 1));
  for (let i = 0; i < activities - ends; i++)
    if (!after.some((each) => each.has(i))) after[whole(Math.max(i + 1, ends), activities - 1)]?.add(i);
  let arcs = after.reduce((sum, { size }) => sum + size, 0);
  for (let tries = 0; arcs < complexity * activities && tries < 20 * activities; tries++) {
    const to = whole(ends, activities - 1);
    const from = whole(0, Math.min(to, activities - ends) - 1);
    if (after[to]?.has(from) || reaches(from, to)) continue;
    after[to]?.add(from);
    arcs += 1;
  }
  const wants = after.map(() => whole(0, resources - 1));
  return weekFile.parse({
    places: Array.from({ length: resources }, (_, id) => {
      const most = Math.max(1, Math.round(wants.filter((each) => each === id).length / 4));
      return { id: `R${id}`, count: 1 + Math.round(strength * (most - 1)) };
    }),
    people: [],
    jobs: [
      {
        id: 'project',
        operations: after.map((before, id) => ({
          id,
          minutes: whole(1, 10),
          place: `R${wants[id]}`,
          after: [...before],
        })),
      },
    ],
  });
}
