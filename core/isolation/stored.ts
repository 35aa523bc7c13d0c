import {
  quantity,
  si,
  type Energy as Joules,
  type GaugePressure,
  type Quantity,
  type QuantityRange,
} from '../quantity';
import { storedEnergy } from '../workings';
import type { Valve } from '../valve';
import type { Line } from './line';

/** Energy behind a joint, where the figures for it are known, with how it was reckoned. */
export interface Stored {
  readonly what: string;
  readonly energy: Joules;
  readonly how: string;
}

/** Every energy that can be reckoned for this valve in this line; nothing where the figures are not known. */
export function storedIn(valve: Valve, line: Line): Stored[] {
  const { actuatorArea: area, actuatorTravel: travel } = line;
  const range = valve.plate?.springRange;
  const spring =
    range && area && travel && si(range.high) > si(range.low) && si(travel) > 0
      ? [{ what: 'in the actuator spring', energy: springEnergy({ range, area, travel }), how: '½·k·x²' }]
      : [];
  return [...shutInEnergy(valve, line), ...spring];
}

/** What is shut in between the blocks, as gas (ASME PCC-2 art. 501) and as liquid beside it; nothing where unknown. */
function shutInEnergy({ medium }: Valve, { trapped }: Line): Stored[] {
  const pressure: GaugePressure | undefined = medium?.pressure;
  if (!trapped || !pressure || si(trapped) <= 0 || si(pressure) <= 0) return [];
  const worked = storedEnergy.work({ pressure, volume: trapped });
  if (!worked.ok) return [];
  const { energy, waterEnergy } = worked.value.result;
  return [
    { what: 'shut in between the blocks, as gas', energy, how: 'E = 2.5·Pat·V·(1 − (Pa/Pat)^0.286)' },
    { what: 'the same volume full of liquid', energy: waterEnergy, how: 'E = P²V/2B, water' },
  ];
}

interface SpringFigures {
  /** Air pressures at which it starts and ends its travel. */
  readonly range: QuantityRange<'gauge pressure'>;
  readonly area: Quantity<'area'>;
  readonly travel: Quantity<'length'>;
}

/**
 * Energy of an actuator spring at the end of its travel, from its bench set: force `F = P·A` rises evenly from F0 to F1
 * over the travel, so the spring has been pressed in `x0 = F0·t/(F1−F0)` already and holds `½·k·(x0+t)²`.
 * Example: 69 in², 3–15 psi, 3/4 in → k 1 104 lbf/in, x0 3/16 in, 485 lbf·in = 54.8 J.
 */
export function springEnergy({ range, area, travel }: SpringFigures): Joules {
  const [force0, force1] = [si(range.low) * si(area), si(range.high) * si(area)];
  const rate = (force1 - force0) / si(travel);
  const pressedIn = force0 / rate + si(travel);
  return quantity('energy', 0.5 * rate * pressedIn ** 2, 'J');
}
