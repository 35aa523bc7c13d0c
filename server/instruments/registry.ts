import type { DriverSettings } from '@dusk-wren/contract';
import { LINE_GAUGES } from './line-gauges';
import { modbusGauge } from './modbus/gauge';
import { modbusGaugeSet } from './modbus/gauge-set';
import { modbusRig } from './modbus/rig';
import { modbusThermometer } from './modbus/thermometer';
import { simulatedDial } from './simulated-dial';
import { simulatedGauge } from './simulated-gauge';
import { simulatedGaugeSet } from './simulated-gauge-set';
import { simulatedRig } from './simulated-rig';
import { simulatedWrench } from './simulated-wrench';
import type { Source } from './source';

/** Every source of readings there is, by its driver's name. */
const SOURCES: readonly Source[] = [
  simulatedDial,
  simulatedWrench,
  simulatedRig,
  simulatedGauge,
  simulatedGaugeSet,
  modbusGauge,
  modbusGaugeSet,
  modbusRig,
  modbusThermometer,
  ...LINE_GAUGES,
];

/** The drivers that there are, each with the kind that it reads and what is set on it. */
export const drivers = () => SOURCES.map(({ driver, kind, settings }) => ({ driver, kind, settings }));

export function sourceFor(driver: string): Source | undefined {
  return SOURCES.find((source) => source.driver === driver);
}

/** It does by itself what whoever stands at it would. */
export const doesByItself = (driver: string): boolean => sourceFor(driver)?.simulated ?? false;

/** Nothing real is behind it: a simulated source, or a device at this machine’s own address, which is a stand-in. */
export function isSimulated(driver: string, settings: DriverSettings): boolean {
  const setting = sourceFor(driver)?.settings.find(({ is }) => is === 'address');
  const address = setting && String(settings[setting.name] ?? setting.usual);
  return doesByItself(driver) || (address?.startsWith('127.') ?? false);
}
