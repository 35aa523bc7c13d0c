import { modbusSource } from './modbus-source';
import type { Look } from './watched';

const PRESSURE = { name: 'pressure', dimension: 'gauge pressure', unit: 'bar g', most: 400 } as const;

/** What a look at a pressure is to whoever reads it. */
export const pressureOf = ({ seconds, values }: Look) =>
  ({ kind: 'pressure', psig: values[PRESSURE.name] ?? 0, seconds }) as const;

/** A pressure gauge on the network. */
export const modbusGauge = modbusSource({
  driver: 'Modbus gauge',
  kind: 'gauge',
  channels: [PRESSURE],
  trial: (look) => [pressureOf(look)],
  read: () => ({ take: (look) => [pressureOf(look)] }),
});
