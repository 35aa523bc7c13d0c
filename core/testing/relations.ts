import type { Plan } from '../plan';

/** Every step that this one waits for, directly or through others. */
export function waitsFor({ steps }: Pick<Plan, 'steps'>, id: string): Set<string> {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const all = new Set<string>();
  const open = [...(byId.get(id)?.after ?? [])];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (all.has(next)) continue;
    all.add(next);
    open.push(...(byId.get(next)?.after ?? []));
  }
  return all;
}
