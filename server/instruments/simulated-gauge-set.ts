import { checkOf } from '@dusk-wren/core/diagnosis';
import { valveOf } from '@dusk-wren/core/job';
import { seedFrom, sickValve } from '@dusk-wren/core/simulation';
import { closesByAir } from '@dusk-wren/core/valve';
import { pause } from './pace';
import type { Source } from './source';

const MILLISECONDS_TO_READ = 600;

/** Gauges on supply, signal, actuator and travel of a valve that has something planted in it. */
export const simulatedGaugeSet: Source = {
  driver: 'simulated gauge set',
  kind: 'gauge set',
  simulated: true,
  async *read({ condition, state, check, rate }, stop) {
    const judge = check && checkOf(check).read;
    if (!check || !judge || !condition.fault) return;
    const valve = valveOf(state);
    const read = sickValve(condition.fault, seedFrom(`${check} ${state.version}`), {
      closesByAir: valve !== undefined && closesByAir(valve.features),
    });
    if (!(await pause(MILLISECONDS_TO_READ / rate, stop))) return;
    const shown = read({ signal: { at: 1, from: 'below' } });
    yield {
      kind: 'check',
      check,
      result: judge(read),
      supplyPsig: shown.supply,
      actuatorPsig: shown.actuator,
      strokePercent: shown.stroke,
    };
  },
};
