import {
  compare,
  faultsOf,
  instanceOf,
  instant,
  judged,
  NO_CLOCK,
  qualityOf,
  weekPlan,
  type Placing,
  type Week,
} from '@dusk-wren/core/schedule';
import type { PlanAnswer, PlanErrand } from './planner';
import { yieldToWork } from './yield-to-work';

/** A plan that nothing came before is looked for longer than one that is only kept up with what happens. */
const FIRST = { ...NO_CLOCK, puts: NO_CLOCK.puts / 2 };
const AGAIN = { ...NO_CLOCK, puts: NO_CLOCK.puts / 15 };

yieldToWork();

/** Runs in a thread of its own: see `planner.ts`. What its own checker faults is never handed out. */
export default function work({ week, stood, offered }: PlanErrand): PlanAnswer {
  if (offered) return weighed(week, stood, offered);
  const instance = instanceOf(week, stood);
  if (!instance.ok) return { kind: 'none', why: instance.problem };
  const solved = instant(instance.value, stood.length === 0 ? FIRST : AGAIN);
  if (!solved.ok) return { kind: 'none', why: solved.problem };
  const { operations, objective, bound, gap } = weekPlan(instance.value, solved.value);
  const [fault] = faultsOf(week, operations);
  if (fault !== undefined) throw new Error(`a plan against its own rules: ${fault}`);
  return { kind: 'planned', plan: operations, quality: { objective, bound, gap } };
}

const noBetter = (why: string): PlanAnswer => ({ kind: 'none', why: { kind: 'impossible', why } });

/** What somebody offers in place of what stands: kept to every rule, and better. */
function weighed(week: Week, stands: readonly Placing[], offered: readonly Placing[]): PlanAnswer {
  const [fault] = faultsOf(week, offered);
  if (fault !== undefined) return noBetter(fault);
  const [before, after] = [judged(week, stands), judged(week, offered)];
  if (!after || (before && compare(after.score, before.score) >= 0)) return noBetter('It is no better.');
  return {
    kind: 'planned',
    plan: offered,
    quality: qualityOf(after.score, after.bounds),
  };
}
