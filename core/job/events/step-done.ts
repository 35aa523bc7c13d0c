import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const stepDone = defineEvent({
  kind: 'step-done',
  body: z.strictObject({ step: stepRef, note: z.string().max(400).exactOptional() }),
  describe: ({ step, note }) => (note ? `${step.title}: ${note}` : step.title),
});
