import { z } from 'zod';
import { DIMENSIONS, format, isDimension, quantityOf, type Quantity } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

const anyQuantity = z
  .object({ dimension: z.string().refine(isDimension, `one of ${DIMENSIONS.join(', ')}`) })
  .loose()
  .transform((raw, context): Quantity => {
    const read = quantityOf(raw.dimension).safeParse(raw);
    if (read.success) return read.data;
    context.addIssue({ code: 'custom', message: 'not a quantity of its dimension' });
    return z.NEVER;
  });

export const measured = defineEvent({
  kind: 'measured',
  body: z.strictObject({
    step: stepRef,
    what: z.string().min(1).max(60),
    value: anyQuantity,
    readBy,
    /** How long the instrument had stood still when it was kept, where it was watched. */
    steadyFor: quantityOf('time').exactOptional(),
  }),
  describe: ({ what, value }) => `${what} ${format(value, 'US')}`,
});
