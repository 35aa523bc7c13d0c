import { boundsOf, type Bounds } from '../bounds/bound';
import { generate, type Stuck } from './generate';
import { improve, type Budget } from './improve';
import type { Instance, NoPlan } from '../instance';
import { ok, refuse, type Result } from '../../problem';
import type { Placed } from '../placed';
import { randomFrom } from './random';
import { asItStood, rules } from './rules';
import { compare, scoreOf, type Score } from '../score';
import { settled } from './settle';
import { wander } from './wander';

/** A plan, and how good it is known to be. */
export interface Solved {
  readonly plan: readonly Placed[];
  readonly score: Score;
  readonly bounds: Bounds;
}

/** Tasks put down while looking: a quarter of a second's worth in a browser. */
const PUTS = 2_500_000;
/** Orders, and choices among the ways of pinned work, that are tried before it is said to be stuck. */
const TURNS = 2000;

/** Of that, what goes into making the plan again as a whole, before it is searched move by move. */
const WANDERED = 0.02;

export const NO_CLOCK: Budget = { puts: PUTS, isOver: () => false };

/**
 * The instant engine: the best of several rules, improved by local search. Never worse than any one of the rules; the
 * same week gives the same plan where no clock stops it.
 */
export function instant(instance: Instance, budget: Budget = NO_CLOCK): Result<Solved, NoPlan> {
  const first = bestRule(instance);
  if (!first.ok) return first;
  const bounds = boundsOf(instance);
  const thrown = wander(instance, first.value, { ...budget, puts: budget.puts * WANDERED });
  const plan = settled(instance, improve(instance, thrown, budget, bounds));
  return ok({ plan, score: scoreOf(instance, plan), bounds });
}

/** The best plan that a single rule makes; where none makes any, one in an order that came by chance. */
export function bestRule(instance: Instance): Result<readonly Placed[], NoPlan> {
  let best: { plan: readonly Placed[]; score: Score } | undefined;
  let stuck: Stuck | undefined;
  const keep = (made: Placed[] | Stuck) => {
    if (!Array.isArray(made)) {
      stuck ??= made;
      return;
    }
    const score = scoreOf(instance, made);
    if (!best || compare(score, best.score) < 0) best = { plan: made, score };
  };
  for (const priority of Object.values(rules(instance))) keep(generate(instance, priority));
  if (instance.stood.size > 0) keep(generate(instance, asItStood(instance), { asStood: true }));
  const random = randomFrom(1);
  for (let turn = 0; turn < TURNS && !best; turn++) keep(generate(instance, random, { turn }));
  return best ? ok(best.plan) : refuse(whyStuck(stuck));
}

const WORDS: Readonly<Record<Stuck['why'], string>> = {
  'no time left': 'there is no open time left for it',
  'too late for a pin': 'it cannot be over in time for what is pinned after it',
  'taken by a pin': 'who or what it is pinned to is not open, or is taken, or it may not begin yet then',
};

const whyStuck = (stuck: Stuck | undefined): NoPlan => ({
  kind: 'impossible',
  why: stuck ? `${stuck.task.job.id}, ${stuck.task.id}: ${WORDS[stuck.why]}.` : 'There is no plan of it.',
});
