import type { PlannedStep } from '@dusk-wren/core/plan';
import { quantity, valueIn, type Torque } from '@dusk-wren/core/quantity';
import { chance, seedFrom, wrenchClick } from '@dusk-wren/core/simulation';
import { pause } from './pace';
import type { Source } from './source';

const MILLISECONDS_A_CLICK = 900;

/** What it is set to by hand: the pass of a joint, or the middle of what one fastener wants. */
function setTo(task: PlannedStep['task'], pass: number): Torque | undefined {
  if (task.kind === 'bolt-up') return task.passes[pass]?.torque;
  if (task.kind !== 'measure') return undefined;
  const wanted = task.asks.find(({ dimension }) => dimension === 'torque')?.mustBe;
  if (wanted === undefined || wanted === 'zero' || !('from' in wanted)) return undefined;
  const { from, to } = wanted;
  return quantity('torque', (valueIn(from, 'lbf·ft') + valueIn(to, 'lbf·ft')) / 2, 'lbf·ft');
}

/** What it is set to where it is only tried. */
const TRIED_AT = quantity('torque', 25, 'lbf·ft');

/** A click-type torque wrench in a steady hand. */
export const simulatedWrench: Source = {
  driver: 'simulated wrench',
  kind: 'torque wrench',
  simulated: true,
  settings: [],
  async *trial(_trial, stop) {
    const dice = chance(seedFrom('a wrench that is tried'));
    while (await pause(MILLISECONDS_A_CLICK, stop))
      yield { kind: 'click', lbfFt: valueIn(wrenchClick(TRIED_AT, dice), 'lbf·ft') };
  },
  async *read({ state, step, rate, pass }, stop) {
    const setting = setTo(step.task, pass);
    if (!setting) return;
    const dice = chance(seedFrom(`${step.id} ${state.version}`));
    while (await pause(MILLISECONDS_A_CLICK / rate, stop))
      yield { kind: 'click', lbfFt: valueIn(wrenchClick(setting, dice), 'lbf·ft') };
  },
};
