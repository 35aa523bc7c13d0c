import type { DriverSettings } from '@dusk-wren/contract';
import { chance, dialReading, seedFrom } from '@dusk-wren/core/simulation';
import { valueIn } from '@dusk-wren/core/quantity';
import { pause } from './pace';
import type { Source } from './source';

const DEGREES_A_SECOND = 60;
const A_SECOND = 'a second';
const perSecond = (settings: DriverSettings) => Number(settings[A_SECOND] ?? 12);

/** A dial indicator on a stem that is turned steadily in its V-blocks. */
export const simulatedDial: Source = {
  driver: 'simulated dial',
  kind: 'dial indicator',
  simulated: true,
  settings: [{ name: A_SECOND, label: 'Readings a second', is: 'number', least: 6, most: 30, usual: 12 }],
  async *trial({ settings }, stop) {
    const dice = chance(seedFrom('a dial on a ground bar'));
    while (await pause(1000 / perSecond(settings), stop))
      yield { kind: 'dial', degrees: 0, thou: 0.1 * Math.round(2 * dice.normal()) };
  },
  async *read({ condition, state, rate, settings }, stop) {
    const dice = chance(seedFrom(`${JSON.stringify(condition)} ${state.version}`));
    const often = perSecond(settings);
    for (
      let degrees = 0;
      await pause(1000 / often / rate, stop);
      degrees = (degrees + DEGREES_A_SECOND / often) % 360
    ) {
      yield { kind: 'dial', degrees, thou: valueIn(dialReading(condition, degrees, dice), 'thou') };
    }
  },
};
