import { valueIn } from '@dusk-wren/core/quantity';
import { chance, seedFrom, wrenchClick } from '@dusk-wren/core/simulation';
import { pause } from './pace';
import type { Source } from './source';

const MILLISECONDS_A_CLICK = 900;

/** A click-type torque wrench in a steady hand, set by hand to a pass. */
export const simulatedWrench: Source = {
  driver: 'simulated wrench',
  kind: 'torque wrench',
  simulated: true,
  async *read({ state, step, rate, pass }, stop) {
    if (step.task.kind !== 'bolt-up') return;
    const setting = step.task.passes[pass]?.torque;
    if (!setting) return;
    const dice = chance(seedFrom(`${step.id} ${state.version}`));
    while (await pause(MILLISECONDS_A_CLICK / rate, stop))
      yield { kind: 'click', lbfFt: valueIn(wrenchClick(setting, dice), 'lbf·ft') };
  },
};
