import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** Number engraved on a lock, or printed on a tag. */
export const lockNumber = z.string().trim().min(1).max(20);

export const lockHung = defineEvent({
  kind: 'lock-hung',
  body: z.strictObject({
    step: stepRef,
    point: z.string().min(1).max(40),
    lock: lockNumber,
    tag: lockNumber,
  }),
  describe: ({ step, lock, tag }) => `${step.title}: lock ${lock}, tag ${tag}`,
});
