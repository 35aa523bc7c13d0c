import { checkOf } from '@dusk-wren/core/diagnosis';
import { valveOf } from '@dusk-wren/core/job';
import { seedFrom, sickValve } from '@dusk-wren/core/simulation';
import type { Live } from '@dusk-wren/core/task';
import { pause } from './pace';
import { simulatedBench } from './simulated-bench';
import type { Source } from './source';

const MILLISECONDS_TO_READ = 600;
/** The supply that it is tried on, psig. */
const TRIED_ON = 20;

/** What it reads live; the rest is read off a rig. */
const BY_GAUGE_SET: readonly Live['kind'][] = ['stroked', 'swept', 'response'];

/** Gauges on supply, signal, actuator and travel: of a valve that has something planted in it, and of one that is set up. */
export const simulatedGaugeSet: Source = {
  driver: 'simulated gauge set',
  kind: 'gauge set',
  simulated: true,
  settings: [],
  async *trial(_trial, stop) {
    for (let sample = 0; await pause(MILLISECONDS_TO_READ, stop); sample++)
      yield {
        ...{ kind: 'bench', seconds: (sample * MILLISECONDS_TO_READ) / 1000, taken: 0, turned: 0 },
        ...{ supplyPsig: TRIED_ON, signalPercent: 0, drivenPsig: 0, travelPercent: 0 },
      };
  },
  async *read(work, stop, controls) {
    const { condition, state, check, rate, step } = work;
    const { task } = step;
    if (
      task.kind === 'stroke-test' ||
      (task.kind === 'measure' && task.live && BY_GAUGE_SET.includes(task.live.kind))
    )
      yield* simulatedBench(work, controls, stop);
    const judge = check && checkOf(check).read;
    const valve = valveOf(state);
    if (!check || !judge || !condition.fault || !valve) return;
    const read = sickValve(condition.fault, seedFrom(`${check} ${state.version}`), valve.features);
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
