import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const holdReleased = defineEvent({
  kind: 'hold-released',
  notWork: true,
  body: z.strictObject({ step: stepRef }),
  describe: ({ step }) => `Hold released: ${step.title}`,
});
