import { ok, refuse, type Result } from '../problem';
import { STAGES } from '../job';
import type { Draft } from '../procedure';

/** A draft with its relations settled to step ids that are on the plan. */
export interface Placed {
  readonly draft: Draft;
  readonly opening: number;
  readonly after: readonly string[];
}

/**
 * Puts steps in an order that keeps every relation; among those that may come next, the earlier opening, then the
 * earlier stage, then the fragment's own order. A circle of relations is refused with the names in it.
 */
export function ordered(drafts: readonly { draft: Draft; opening: number }[]): Result<Placed[]> {
  const twice = repeated(drafts.map(({ draft }) => draft.id));
  if (twice.length > 0) return refuse({ code: 'plan.same-step', steps: twice });
  const placed = settled(drafts).map((each, i) => ({
    each,
    rank: (each.opening * STAGES.length + STAGES.indexOf(each.draft.stage)) * drafts.length + i,
    waitsFor: each.after.length,
  }));
  type Node = (typeof placed)[number];
  const followers = new Map<string, Node[]>();
  for (const node of placed)
    for (const id of node.each.after) followers.set(id, [...(followers.get(id) ?? []), node]);
  const free = placed.filter(({ waitsFor }) => waitsFor === 0);
  const result: Placed[] = [];
  while (free.length > 0) {
    const next = free.reduce((best, node) => (node.rank < best.rank ? node : best));
    free.splice(free.indexOf(next), 1);
    result.push(next.each);
    for (const follower of followers.get(next.each.draft.id) ?? []) {
      follower.waitsFor -= 1;
      if (follower.waitsFor === 0) free.push(follower);
    }
  }
  if (result.length === placed.length) return ok(result);
  const done = new Set(result);
  return refuse({
    code: 'plan.cycle',
    fragments: placed.filter(({ each }) => !done.has(each)).map(({ each }) => each.draft.id),
  });
}

const repeated = (ids: readonly string[]): string[] => [
  ...new Set(ids.filter((id, i) => ids.indexOf(id) !== i)),
];

/** `after` may name a step or a milestone; a milestone stands for all steps that provide it, an absent one for none. */
function settled(drafts: readonly { draft: Draft; opening: number }[]): Placed[] {
  const ids = new Set(drafts.map(({ draft }) => draft.id));
  const milestones = new Map<string, string[]>();
  for (const { draft } of drafts) {
    for (const milestone of draft.provides)
      milestones.set(milestone, [...(milestones.get(milestone) ?? []), draft.id]);
  }
  return drafts.map(({ draft, opening }) => ({
    draft,
    opening,
    after: [
      ...new Set(draft.after.flatMap((name) => (ids.has(name) ? [name] : (milestones.get(name) ?? [])))),
    ].filter((id) => id !== draft.id),
  }));
}
