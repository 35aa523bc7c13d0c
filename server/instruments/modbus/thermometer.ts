import { modbusSource } from './modbus-source';

const TEMPERATURE = { name: 'temperature', dimension: 'temperature', unit: '°C', most: 600 } as const;

const celsius = (values: Readonly<Record<string, number>>) =>
  ({ kind: 'temperature', celsius: values[TEMPERATURE.name] ?? 0 }) as const;

/** A thermometer on the network. */
export const modbusThermometer = modbusSource({
  driver: 'Modbus thermometer',
  kind: 'thermometer',
  channels: [TEMPERATURE],
  trial: ({ values }) => [celsius(values)],
  read: () => ({ take: ({ values }) => [celsius(values)] }),
});
