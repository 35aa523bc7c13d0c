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
  const placed = settled(drafts);
  const rank = new Map(
    placed.map((each, i) => [each.draft.id, [each.opening, STAGES.indexOf(each.draft.stage), i] as const]),
  );
  const waiting = new Map(placed.map((each) => [each.draft.id, new Set(each.after)]));
  const open = new Map(placed.map((each) => [each.draft.id, each]));
  const result: Placed[] = [];
  while (open.size > 0) {
    let next: Placed | undefined;
    for (const each of open.values()) {
      if (
        waiting.get(each.draft.id)?.size === 0 &&
        (!next || before(rank.get(each.draft.id), rank.get(next.draft.id)))
      )
        next = each;
    }
    if (!next) return refuse({ code: 'plan.cycle', fragments: [...open.keys()] });
    result.push(next);
    open.delete(next.draft.id);
    for (const set of waiting.values()) set.delete(next.draft.id);
  }
  return ok(result);
}

type Rank = readonly [number, number, number];

function before(a: Rank | undefined, b: Rank | undefined): boolean {
  for (let i = 0; i < 3; i++) {
    const difference = (a?.[i] ?? 0) - (b?.[i] ?? 0);
    if (difference !== 0) return difference < 0;
  }
  return false;
}

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
