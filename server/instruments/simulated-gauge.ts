import { valveOf } from '@dusk-wren/core/job';
import { valueIn } from '@dusk-wren/core/quantity';
import { chance, seedFrom, ventGauge } from '@dusk-wren/core/simulation';
import { pause } from './pace';
import type { Source } from './source';

const MILLISECONDS_A_SAMPLE = 250;
const FASTER = 5;

/** The gauge at an opened vent. */
export const simulatedGauge: Source = {
  driver: 'simulated gauge',
  kind: 'gauge',
  simulated: true,
  async *read({ condition, state, rate, step }, stop) {
    const upstream = step.isolation?.is === 'proof' && step.isolation.energy === 'upstream pressure';
    const line = valveOf(state)?.medium?.pressure;
    const dice = chance(seedFrom(`gauge ${state.version}`));
    for (let sample = 0; await pause(MILLISECONDS_A_SAMPLE / rate, stop); sample++) {
      const seconds = (sample * MILLISECONDS_A_SAMPLE * FASTER) / 1000;
      const psig = valueIn(ventGauge(condition, upstream, seconds, dice, line), 'psig');
      yield { kind: 'pressure', psig, seconds };
    }
  },
};
