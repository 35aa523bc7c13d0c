import type { Plan, PlannedStep } from './plan';

/** Steps that were done and are asked for again: of one plan, and of the same job after something was struck. */
export function broughtBack(before: Plan, after: Plan): PlannedStep[] {
  const done = new Set(before.steps.flatMap(({ id, status }) => (status === 'done' ? [id] : [])));
  return after.steps.filter(({ id, status }) => status !== 'done' && done.has(id));
}
