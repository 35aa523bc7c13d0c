import { quantity, valueIn } from '@dusk-wren/core/quantity';
import { chance, PUMPING, rigRun, seedFrom, type RigHand } from '@dusk-wren/core/simulation';
import type { Controls } from './controls';
import { pause } from './pace';
import { simulatedRegulator } from './simulated-regulator';
import { simulatedPops } from './simulated-pops';
import type { Source } from './source';

const SAMPLE_SECONDS = 0.5;
/** A hold of a minute in three seconds: nobody waits for a simulation. */
const FASTER = 20;
/** What a well-lapped closed seat, a gland and a joint leave open. */
const SOUND_GAP = quantity('length', 0.3, 'µm');

/** Pump and vent as they were left by whoever stands at the rig. */
function atRig(controls: Controls): () => RigHand {
  let hand = PUMPING;
  return () => {
    for (const control of controls.take()) {
      if (control.kind === 'pump') hand = { ...hand, pumping: control.on };
      if (control.kind === 'vent') hand = { ...hand, vented: control.open };
    }
    return hand;
  };
}

/** A test rig: pressure settles, the hold runs, what leaks is counted at the outlet. */
export const simulatedRig: Source = {
  driver: 'simulated rig',
  kind: 'test rig',
  simulated: true,
  settings: [],
  async *trial(_trial, stop) {
    for (let sample = 0; await pause(SAMPLE_SECONDS * 1000, stop); sample++)
      yield { kind: 'pressure', psig: 0, seconds: sample * SAMPLE_SECONDS };
  },
  async *read(work, stop, controls) {
    const { state, step, condition, plan, rate } = work;
    if (step.task.kind === 'measure' && step.task.live?.kind === 'pops')
      yield* simulatedPops(work, step.task.live, stop, atRig(controls));
    if (step.task.kind === 'measure' && step.task.live?.kind === 'regulated')
      yield* simulatedRegulator(work, step.task.live, stop);
    if (step.task.kind !== 'pressure-test') return;
    const { pressure, hold, test, fluid, allowed } = step.task;
    const gap = test === 'seat' ? (condition.trapped[plan.openings - 1] ?? SOUND_GAP) : SOUND_GAP;
    const dice = chance(seedFrom(`${step.id} ${state.version}`));
    for (const sample of rigRun(
      { pressure, hold, gap, fluid, of: allowed.of },
      dice,
      SAMPLE_SECONDS,
      atRig(controls),
    )) {
      if (!(await pause((SAMPLE_SECONDS * 1000) / (FASTER * rate), stop))) return;
      yield {
        kind: 'rig',
        seconds: sample.seconds,
        psig: valueIn(sample.pressure, 'psig'),
        phase: sample.phase,
        held: sample.held,
        leaked: sample.leaked,
        of: allowed.of,
        rate: FASTER * rate,
      };
    }
  },
};
