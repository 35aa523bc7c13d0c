import { degrees, formatExactly, inches, type Torque } from '../../quantity';
import { boltingCrowfoot } from '../../workings';
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
export function torqued(
  { valve }: Context,
  place: TorquePlace,
  usual?: Torque,
  tool?: 'crow-foot',
): MeasureTask {
  const wanted = makersTorque(valve, place)?.value ?? usual;
  const what = `torque of the ${place}`;
  const common = { what, dimension: 'torque', instrument: 'torque wrench' } as const;
  if (!wanted) return taken({ ...common, example: '40 lbf·ft' });
  const part = (share: number): Torque => ({ ...wanted, value: wanted.value * share });
  const task = taken({
    ...common,
    example: formatExactly(wanted),
    mustBe: { from: part(1 - WITHIN), to: part(1 + WITHIN) },
  });
  return tool === 'crow-foot' ? { ...task, ...corrected(wanted) } : task;
}

/** A wrench and an adapter as they lie in most shops. */
const WRENCH = { wrench: inches(12), adapter: inches(1.5) };

/** What the wrench is set to with a crow-foot on it: square to the wrench, and in line with it. */
function corrected(torque: Torque): Pick<MeasureTask, 'shown'> {
  const [square, inLine] = [90, 0].map((angle) =>
    boltingCrowfoot.work({ torque, ...WRENCH, angle: degrees(angle) }),
  );
  if (!square?.ok || !inLine?.ok) return {};
  const { source } = square.value;
  return {
    shown: {
      steps: [...square.value.steps, ...inLine.value.steps],
      notes: [
        `Square to a wrench of ${formatExactly(WRENCH.wrench)}, then in line with it, the adapter ${formatExactly(WRENCH.adapter)}. Another wrench, another setting: the working bolting.crowfoot.`,
      ],
      source,
    },
  };
}
