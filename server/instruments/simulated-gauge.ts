import type { DriverSettings } from '@dusk-wren/contract';
import { valveOf } from '@dusk-wren/core/job';
import { valueIn } from '@dusk-wren/core/quantity';
import { chance, seedFrom, ventGauge } from '@dusk-wren/core/simulation';
import { pause } from './pace';
import type { Source } from './source';

const FASTER = 5;
const A_SECOND = 'a second';
const secondsBetween = (settings: DriverSettings) => 1 / Number(settings[A_SECOND] ?? 4);

/** The gauge at an opened vent. */
export const simulatedGauge: Source = {
  driver: 'simulated gauge',
  kind: 'gauge',
  simulated: true,
  settings: [{ name: A_SECOND, label: 'Readings a second', is: 'number', least: 2, most: 20, usual: 4 }],
  async *trial({ settings }, stop) {
    const dice = chance(seedFrom('a gauge open to the air'));
    const apart = secondsBetween(settings);
    for (let sample = 0; await pause(1000 * apart, stop); sample++)
      yield { kind: 'pressure', psig: Math.max(0, 0.05 * dice.normal()), seconds: sample * apart };
  },
  async *read({ condition, state, rate, step, settings }, stop) {
    const upstream = step.isolation?.is === 'proof' && step.isolation.energy === 'upstream pressure';
    const line = valveOf(state)?.medium?.pressure;
    const dice = chance(seedFrom(`gauge ${state.version}`));
    const apart = secondsBetween(settings);
    for (let sample = 0; await pause((1000 * apart) / rate, stop); sample++) {
      const seconds = sample * apart * FASTER;
      const psig = valueIn(ventGauge(condition, upstream, seconds, dice, line), 'psig');
      yield { kind: 'pressure', psig, seconds };
    }
  },
};
