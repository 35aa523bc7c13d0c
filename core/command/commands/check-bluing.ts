import { z } from 'zod';
import { ok } from '../../problem';
import { quantityOf } from '../../quantity';
import { defineCommand, readyStep, refOf } from '../define-command';

/** The blue line as it was marked on the seat ring. */
export const checkBluing = defineCommand({
  kind: 'check-bluing',
  body: z.strictObject({
    step: z.string().max(80),
    arcs: z
      .array(
        z.strictObject({
          from: quantityOf('angle'),
          to: quantityOf('angle'),
          width: quantityOf('length').refine((width) => width.value > 0, 'a line has a width'),
        }),
      )
      .max(72),
  }),
  decide: ({ step: id, arcs }, asked) => {
    const step = readyStep(asked, id, 'bluing');
    if (!step.ok) return step;
    return ok([
      { kind: 'bluing-checked', body: { step: refOf(step.value), diameter: step.value.task.diameter, arcs } },
    ]);
  },
});
