import { onStep } from '../../job';
import { quantity, type Torque } from '../../quantity';
import { TURNING_TORQUE_LIMITS } from '../../standards';
import type { MeasureAsk, MeasureTask } from '../../task';
import { turningTorque } from '../../workings';
import type { Context } from '../draft';
import { stepName } from '../relations';
import { compared } from './taken';

/** Where a quarter-turn valve is turned as found, before anything is touched. */
export const TURNED_AS_FOUND = stepName('strip.effort');

/** The torque that turns this closure. */
export const turnedBy = (closure: 'ball' | 'plug', example: string): MeasureAsk => ({
  what: `torque to turn the ${closure}`,
  dimension: 'torque',
  example,
});

function asFound(c: Context, { what }: MeasureAsk): Torque | undefined {
  const entries = onStep(c.state, 'measured', c.idOf(TURNED_AS_FOUND));
  const value = entries.findLast(({ body }) => body.what === what)?.body.value;
  return value?.dimension === 'torque' ? { ...value, dimension: 'torque' } : undefined;
}

/** Turned again when it is set: no harder than a quarter over what it was, or something binds (common practice). */
export function turnedNoHarder(c: Context, ask: MeasureAsk, ...others: readonly MeasureAsk[]): MeasureTask {
  const before = asFound(c, ask);
  const task = compared(TURNED_AS_FOUND, ask, ...others);
  if (!before) return task;
  const most: Torque = { ...before, value: before.value * TURNING_TORQUE_LIMITS.most };
  const worked = turningTorque.work({ now: most, before });
  return {
    ...task,
    asks: task.asks.map((each) =>
      each.what === ask.what ? { ...each, mustBe: { from: quantity('torque', 0, 'N·m'), to: most } } : each,
    ),
    ...(worked.ok ? { shown: worked.value } : {}),
  };
}
