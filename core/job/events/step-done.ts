import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const stepDone = defineEvent({
  kind: 'step-done',
  body: z.strictObject({
    step: stepRef,
    note: z.string().max(400).exactOptional(),
    /** Looked at and passed over: it was not wanted on this job. */
    notNeeded: z.literal(true).exactOptional(),
    /** Done as one who may, a seal put on: it is no work on the valve. */
    asAuthority: z.literal(true).exactOptional(),
  }),
  describe: ({ step, note, notNeeded }) =>
    [step.title, notNeeded && 'not needed', note].filter(Boolean).join(': '),
});
