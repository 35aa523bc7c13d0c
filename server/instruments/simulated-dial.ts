import { chance, dialReading, seedFrom } from '@dusk-wren/core/simulation';
import { valueIn } from '@dusk-wren/core/quantity';
import { pause } from './pace';
import type { Source } from './source';

const DEGREES_A_SAMPLE = 5;
const MILLISECONDS_A_SAMPLE = 80;

/** A dial indicator on a stem that is turned steadily in its V-blocks. */
export const simulatedDial: Source = {
  driver: 'simulated dial',
  kind: 'dial indicator',
  simulated: true,
  async *read({ condition, state, rate }, stop) {
    const dice = chance(seedFrom(`${JSON.stringify(condition)} ${state.version}`));
    for (
      let degrees = 0;
      await pause(MILLISECONDS_A_SAMPLE / rate, stop);
      degrees = (degrees + DEGREES_A_SAMPLE) % 360
    ) {
      yield { kind: 'dial', degrees, thou: valueIn(dialReading(condition, degrees, dice), 'thou') };
    }
  },
};
