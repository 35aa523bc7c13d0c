import { z } from 'zod';
import { ok, refuse } from '../../problem';
import { quantityOf } from '../../quantity';
import { defineCommand, readyStep, refOf } from '../define-command';

/** The rings are in, bottom ring first, with where each joint lies. */
export const fitPacking = defineCommand({
  kind: 'fit-packing',
  body: z.strictObject({ step: z.string().max(80), joints: z.array(quantityOf('angle')).min(1).max(40) }),
  decide: ({ step: id, joints }, asked) => {
    const step = readyStep(asked, id, 'packing');
    if (!step.ok) return step;
    const { rings, section, length } = step.value.task;
    if (joints.length > rings) {
      return refuse({
        code: 'input.out-of-range',
        field: 'joints',
        value: `${joints.length} rings`,
        allowed: `up to ${rings}`,
        why: 'never more rings than fill the box',
      });
    }
    return ok([{ kind: 'packing-fitted', body: { step: refOf(step.value), section, length, joints } }]);
  },
});
