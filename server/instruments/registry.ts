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
];

/** The drivers that there are, each with the kind that it reads and what is set on it. */
export const drivers = () => SOURCES.map(({ driver, kind, settings }) => ({ driver, kind, settings }));

export function sourceFor(driver: string): Source | undefined {
  return SOURCES.find((source) => source.driver === driver);
}

export function isSimulated(driver: string): boolean {
  return sourceFor(driver)?.simulated ?? false;
}
