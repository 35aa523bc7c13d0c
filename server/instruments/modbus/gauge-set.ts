import type { InstrumentControl, ReadingMessage } from '@dusk-wren/contract';
import { sweptTo, type Sweep } from '../sweep';
import { modbusSource } from './modbus-source';
import type { Look } from './watched';

const pressure = (name: string) => ({ name, dimension: 'gauge pressure', unit: 'bar g', most: 16 }) as const;
const share = (name: string) => ({ name, dimension: 'ratio', unit: '%', most: 200 }) as const;

const CHANNELS = [
  pressure('supply'),
  share('travel'),
  pressure('actuator'),
  { ...pressure('other side'), optional: true },
  { ...share('signal'), isSet: true },
  { ...pressure('supply set to'), isSet: true, optional: true },
];

/**
 * Signal and supply as they are set from the bench. When nobody reads any more the signal stays where it is: a stem that
 * moves by itself is a hand in a yoke.
 */
function setFromBench() {
  let taken = 0;
  let sweep: Sweep | undefined;
  const puts = (controls: readonly InstrumentControl[], seconds: number) => {
    const values = new Map<string, number>();
    for (const control of controls) {
      taken += 1;
      if (control.kind === 'signal') [sweep] = [undefined, values.set('signal', control.percent)];
      if (control.kind === 'sweep') sweep = { from: seconds, seconds: control.seconds };
      if (control.kind === 'supply') values.set('supply set to', control.psig);
    }
    if (sweep) values.set('signal', 100 * sweptTo(sweep, seconds));
    if (sweep && seconds - sweep.from >= sweep.seconds) sweep = undefined;
    return values;
  };
  return { puts, taken: () => taken };
}

function bench({ seconds, values }: Look, taken: number, turned: number): ReadingMessage {
  const other = values['other side'];
  return {
    ...{ kind: 'bench', seconds, taken, turned },
    supplyPsig: values['supply'] ?? 0,
    signalPercent: values['signal'] ?? 0,
    drivenPsig: values['actuator'] ?? 0,
    ...(other === undefined ? {} : { otherPsig: other }),
    travelPercent: values['travel'] ?? 0,
  };
}

/** Gauges, travel and the signal of a bench on the network. */
export const modbusGaugeSet = modbusSource({
  driver: 'Modbus gauge set',
  kind: 'gauge set',
  channels: CHANNELS,
  trial: (look) => [bench(look, 0, 0)],
  read: ({ check, stateNow }) => {
    if (check !== undefined) return 'this check by itself';
    const { puts, taken } = setFromBench();
    return { take: (look) => [bench(look, taken(), stateNow().records['screw-turned'].length)], puts };
  },
});
