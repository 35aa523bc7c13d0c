import { ok, refuse, type Result } from '../problem';
import { STAGES } from '../job';
import { isStepName, spelt, type Draft, type Milestone, type Relation } from '../procedure';
import type { Room } from '../valve';

/** A step as it was proposed for one opening of the valve. */
export interface Proposed {
  readonly id: string;
  readonly opening: number;
  /** The room of the valve that its fragment belongs to; absent of what every job has. */
  readonly room?: Room;
  readonly draft: Draft;
}

/** A proposed step with its relations settled to ids that are on the plan. */
export interface Placed extends Proposed {
  readonly after: readonly string[];
}

/** A draft for one opening, named by its number; what is done once, after the last, by none. */
export const proposed = (draft: Draft, opening: number, named = opening, room?: Room): Proposed => ({
  id: spelt(draft.name, named),
  opening,
  draft,
  ...(room === undefined ? {} : { room }),
});

/**
 * Puts steps in an order that keeps every relation; among those that may come next, the earlier opening, then the
 * earlier stage, then the fragment's own order. A circle of relations is refused with the names in it.
 */
export function ordered(steps: readonly Placed[]): Result<Placed[]> {
  const twice = repeated(steps.map(({ id }) => id));
  if (twice.length > 0) return refuse({ code: 'plan.same-step', steps: twice });
  const placed = steps.map((each, i) => ({
    each,
    rank: (each.opening * STAGES.length + STAGES.indexOf(each.draft.stage)) * steps.length + i,
    waitsFor: each.after.length,
  }));
  type Node = (typeof placed)[number];
  const followers = new Map<string, Node[]>();
  for (const node of placed)
    for (const id of node.each.after) {
      const known = followers.get(id);
      if (known) known.push(node);
      else followers.set(id, [node]);
    }
  // The best of the free ones last.
  const free = placed.filter(({ waitsFor }) => waitsFor === 0).sort((a, b) => b.rank - a.rank);
  const result: Placed[] = [];
  for (let next = free.pop(); next; next = free.pop()) {
    result.push(next.each);
    for (const follower of followers.get(next.each.id) ?? []) {
      follower.waitsFor -= 1;
      if (follower.waitsFor === 0) {
        const { rank } = follower;
        free.splice(free.findLastIndex((node) => node.rank > rank) + 1, 0, follower);
      }
    }
  }
  if (result.length === placed.length) return ok(result);
  const done = new Set(result);
  return refuse({
    code: 'plan.cycle',
    fragments: placed.filter(({ each }) => !done.has(each)).map(({ each }) => each.id),
  });
}

function repeated(ids: readonly string[]): string[] {
  const seen = new Set<string>();
  return [...new Set(ids.filter((id) => seen.has(id) || !seen.add(id)))];
}

/** Relations as the ids that they mean on this plan. */
export function settled(steps: readonly Proposed[]): Placed[] {
  const ids = new Set(steps.map(({ id }) => id));
  const givers = new Map<string, string[]>();
  for (const { id, opening, draft } of steps)
    for (const milestone of draft.provides) {
      const key = given(milestone, opening);
      const known = givers.get(key);
      if (known) known.push(id);
      else givers.set(key, [id]);
    }
  const named = (relation: Relation, opening: number): readonly string[] => {
    if (opening === 0) return [];
    if (typeof relation === 'string')
      return givers.get(given(relation, opening)) ?? named(relation, opening - 1);
    if ('lastTime' in relation) return named(relation.lastTime, opening - 1);
    const id = spelt(isStepName(relation) ? relation : relation.ifThere, opening);
    return ids.has(id) ? [id] : named(relation, opening - 1);
  };
  return steps.map((step) => ({
    ...step,
    after: [...new Set(step.draft.after.flatMap((relation) => named(relation, step.opening)))].filter(
      (id) => id !== step.id,
    ),
  }));
}

/** A milestone at one opening. What an opening does not give was given at the one before. */
const given = (milestone: Milestone, opening: number): string => `${milestone}@${opening}`;
