import {
  compare,
  faultsOf,
  instanceOf,
  instant,
  judged,
  NO_CLOCK,
  qualityOf,
  weekPlan,
  type NoPlan,
  type Placing,
  type Quality,
  type Week,
} from '@dusk-wren/core/schedule';

export type PlanAnswer =
  | {
      readonly kind: 'planned';
      readonly plan: readonly Placing[];
      readonly quality: Quality;
    }
  | { readonly kind: 'none'; readonly why: NoPlan };

/** A plan that nothing came before is looked for longer than one that is only kept up with what happens. */
const FIRST = { ...NO_CLOCK, puts: NO_CLOCK.puts / 2 };
const AGAIN = { ...NO_CLOCK, puts: NO_CLOCK.puts / 15 };

/** A week planned with the plan that stood. What its own checker faults is never handed out. */
export function solved(week: Week, stood: readonly Placing[]): PlanAnswer {
  const instance = instanceOf(week, stood);
  if (!instance.ok) return { kind: 'none', why: instance.problem };
  const found = instant(instance.value, stood.length === 0 ? FIRST : AGAIN);
  if (!found.ok) return { kind: 'none', why: found.problem };
  const { operations, objective, bound, gap } = weekPlan(instance.value, found.value);
  const [fault] = faultsOf(week, operations);
  if (fault !== undefined) throw new Error(`a plan against its own rules: ${fault}`);
  return { kind: 'planned', plan: operations, quality: { objective, bound, gap } };
}

const noBetter = (why: string): PlanAnswer => ({ kind: 'none', why: { kind: 'impossible', why } });

/** What somebody offers in place of what stands: kept to every rule, and better. */
export function weighed(week: Week, stands: readonly Placing[], offered: readonly Placing[]): PlanAnswer {
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
