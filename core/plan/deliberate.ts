import { taskKind } from '../task';
import type { Placed } from './order';

/** Steps that are done only on purpose: releases, signatures, and the last ones before pressure comes or the valve is opened. */
export function deliberateSteps(order: readonly Placed[]): ReadonlySet<string> {
  const byId = new Map(order.map((placed) => [placed.id, placed]));
  const isolating = (id: string) => byId.get(id)?.draft.stage === 'isolate';
  /** Those of these steps that none of the others waits for. */
  const lastOf = (ids: readonly string[]) => {
    const waitedFor = new Set(ids.flatMap((id) => byId.get(id)?.after ?? []));
    return ids.filter((id) => !waitedFor.has(id));
  };
  return new Set(
    order.flatMap(({ id, draft: { stage, task }, after }) => [
      ...(taskKind(task).onPurpose ? [id] : []),
      ...(taskKind(task).letsPressureIn ? lastOf(after) : []),
      ...(stage === 'strip' ? lastOf(after.filter(isolating)) : []),
    ]),
  );
}
