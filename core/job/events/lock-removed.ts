import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';
import { lockNumber } from './lock-hung';

export const lockRemoved = defineEvent({
  kind: 'lock-removed',
  body: z.strictObject({
    step: stepRef,
    point: z.string().min(1).max(40),
    lock: lockNumber,
    /** Why another than its owner took it off. */
    reason: z.string().trim().min(1).max(400).exactOptional(),
  }),
  describe: ({ step, lock, reason }) =>
    [`${step.title}: lock ${lock} off`, reason].filter(Boolean).join('; '),
});
