import { z } from 'zod';
import { partRoleSchema } from '../../inspection';
import { formatClock, quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** Where a part's mark stands on the body, from above: a clock with the downstream flange at 6. */
export const markSet = defineEvent({
  kind: 'mark-set',
  body: z.strictObject({ step: stepRef, part: partRoleSchema, clock: quantityOf('angle') }),
  describe: ({ step, part, clock }) => `${step.title}: ${part} at ${formatClock(clock)}`,
});
