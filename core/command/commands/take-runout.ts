import { z } from 'zod';
import { LEAST_FOR_VERDICT } from '../../analysis';
import { instrumentId } from '../../job';
import { ok } from '../../problem';
import { quantityOf } from '../../quantity';
import { defineCommand, readyStep, refOf, stampOf } from '../define-command';

/** Dial readings round the stem; the call follows from them. */
export const takeRunout = defineCommand({
  kind: 'take-runout',
  body: z.strictObject({
    step: z.string().max(80),
    readings: z.array(quantityOf('length')).min(LEAST_FOR_VERDICT).max(72),
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ step: id, readings, readBy }, asked) => {
    const step = readyStep(asked, id, 'runout');
    if (!step.ok) return step;
    const by = stampOf(asked, readBy);
    return by.ok
      ? ok([{ kind: 'runout-taken', body: { step: refOf(step.value), readings, readBy: by.value } }])
      : by;
  },
});
