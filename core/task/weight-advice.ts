import { measuredLast } from '../job';
import { quantity, si, valueIn, type Length } from '../quantity';
import { leverWeight, type LeverWeight, type Worked } from '../workings';
import type { MeasureAsk } from './measure-ask';
import { meets } from './meets';
import { lastTurned, movedAt, type Pops } from './pops';
import type { StepFacts } from './task-kind';

/** Where a weight goes next. */
export interface WeightAdvice {
  readonly from: Length;
  readonly to: Length;
  readonly worked: Worked<LeverWeight>;
}

interface Asked {
  readonly asks: readonly MeasureAsk[];
}

/**
 * Where to slide the weight, by the head it last opened at: what lever and friction really hold is what that head leaves,
 * and the place for the head wanted is computed with it. Nothing where it opened within its limit, or was moved since.
 */
export function weightAdvice({ asks }: Asked, live: Pops, facts: StepFacts): WeightAdvice | undefined {
  const { weight: on } = live;
  const last = lastTurned(live, facts);
  const ask = asks.find(({ what }) => what === live.pops[0]);
  const from = on && measuredLast(facts.state, on.place, 'length');
  if (!on || !last || !ask || !from || meets(ask, last.read) || movedAt(live, facts) > openedAt(live, facts))
    return undefined;
  const { lever } = on;
  const moment = si(last.read) * si(lever.diaphragmArea) * si(lever.shortArm) - si(lever.weight) * si(from);
  const worked = leverWeight.work({
    ...lever,
    head: quantity('pressure difference', valueIn(live.aim, 'psig'), 'psi'),
    leverMoment: quantity('torque', Math.max(0, moment), 'N·m'),
  });
  if (!worked.ok) return undefined;
  return { from, to: worked.value.result.position, worked: worked.value };
}

/** When it last opened. */
const openedAt = ({ pops }: Pops, facts: StepFacts): number =>
  facts.on('measured').findLast(({ body }) => pops.includes(body.what))?.seq ?? 0;
