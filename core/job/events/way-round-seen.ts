import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** Which of its two ways round a part stood or was fitted. */
export const wayRoundSeen = defineEvent({
  kind: 'way-round-seen',
  body: z.strictObject({ step: stepRef, what: z.string().max(60), way: z.string().max(60) }),
  describe: ({ step, what, way }) => `${step.title}: ${what} ${way}`,
});
