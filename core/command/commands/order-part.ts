import { z } from 'zod';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep } from '../define-command';

/** The part a call renews is on order. */
export const orderPart = defineCommand({
  kind: 'order-part',
  body: z.strictObject({ step: z.string().max(80), expected: z.iso.date() }),
  decide: ({ step: id, expected }, asked) => {
    const step = readyStep(asked, id, 'order');
    if (!step.ok) return step;
    if (expected < asked.now.slice(0, 10)) {
      return refuse({
        code: 'input.out-of-range',
        field: 'expected',
        value: expected,
        allowed: 'today or later',
        why: 'it is not here yet',
      });
    }
    return ok([{ kind: 'part-ordered', body: { part: step.value.task.part, expected } }]);
  },
});
