import { z } from 'zod';
import { ok, refuse } from '../../problem';
import { quantityOf, si } from '../../quantity';
import { defineCommand, readyStep, refOf } from '../define-command';

const LONGEST_SECONDS = 2 * 60 * 60;

/** One grit, for so long. */
export const logLapping = defineCommand({
  kind: 'log-lapping',
  body: z.strictObject({
    step: z.string().max(80),
    grit: z.int().min(40).max(3000),
    minutes: quantityOf('time'),
  }),
  decide: ({ step: id, grit, minutes }, asked) => {
    const step = readyStep(asked, id, 'lapping');
    if (!step.ok) return step;
    if (si(minutes) <= 0 || si(minutes) > LONGEST_SECONDS) {
      return refuse({
        code: 'input.out-of-range',
        field: 'minutes',
        value: `${minutes.value} ${minutes.unit}`,
        allowed: 'up to two hours',
        why: 'compound is changed every few minutes',
      });
    }
    return ok([
      {
        kind: 'lapping-logged',
        body: { step: refOf(step.value), grit, minutes, against: step.value.task.against },
      },
    ]);
  },
});
