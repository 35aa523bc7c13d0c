import { faultsOf, instanceOf, instant, NO_CLOCK, weekPlan } from '@dusk-wren/core/schedule';
import type { PlanAnswer, PlanErrand } from './planner';

/** A week is planned again with everything that happens: a fifth of what a plan on a screen looks through. */
const BUDGET = { ...NO_CLOCK, puts: NO_CLOCK.puts / 5 };

/** Runs in a thread of its own: see `planner.ts`. What its own checker faults is never handed out. */
export default function work({ week, stood }: PlanErrand): PlanAnswer {
  const instance = instanceOf(week, stood);
  if (!instance.ok) return { kind: 'none', why: instance.problem };
  const solved = instant(instance.value, BUDGET);
  if (!solved.ok) return { kind: 'none', why: solved.problem };
  const { operations, lateness, objective, bound, gap } = weekPlan(instance.value, solved.value);
  const [fault] = faultsOf(week, operations);
  if (fault !== undefined) throw new Error(`a plan against its own rules: ${fault}`);
  return { kind: 'planned', plan: operations, lateness, quality: { objective, bound, gap } };
}
