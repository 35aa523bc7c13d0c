import { formatExactly, type Torque } from '../../quantity';
import { makersTorque, type TorquePlace } from '../../valve';
import type { MeasureTask } from '../../task';
import type { Context } from '../draft';
import { taken } from './taken';

/** How near a torque must come to its figure (common practice: a click wrench in calibration keeps within it). */
const WITHIN = 0.1;

/**
 * A torque that is set, read and kept: by the maker’s sheet where it has the figure, else by the one that is usual here;
 * where neither is known it is asked for all the same, and stands on the certificate.
 */
export function torqued({ valve }: Context, place: TorquePlace, usual?: Torque): MeasureTask {
  const wanted = makersTorque(valve, place)?.value ?? usual;
  const what = `torque of the ${place}`;
  const common = { what, dimension: 'torque', instrument: 'torque wrench' } as const;
  if (!wanted) return taken({ ...common, example: '40 lbf·ft' });
  const part = (share: number): Torque => ({ ...wanted, value: wanted.value * share });
  return taken({
    ...common,
    example: formatExactly(wanted),
    mustBe: { from: part(1 - WITHIN), to: part(1 + WITHIN) },
  });
}
