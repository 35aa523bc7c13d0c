import type { Task } from '../procedure';
import type { Placed } from './order';

/** Releases and signatures, and a lock taken off what holds the line back. */
const ON_PURPOSE: readonly Task['kind'][] = ['hold', 'sign-off', 'sign', 'unlock'];
const LETS_PRESSURE_IN: readonly Task['kind'][] = ['pressure-test', 'unlock'];

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
      ...(ON_PURPOSE.includes(task.kind) ? [id] : []),
      ...(LETS_PRESSURE_IN.includes(task.kind) ? lastOf(after) : []),
      ...(stage === 'strip' ? lastOf(after.filter(isolating)) : []),
    ]),
  );
}
