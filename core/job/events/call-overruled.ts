import { z } from 'zod';
import { methodSchema, partRoleSchema, verdictSchema } from '../../inspection';
import { defineEvent } from '../define-event';

export const callOverruled = defineEvent({
  kind: 'call-overruled',
  notWork: true,
  body: z.strictObject({
    part: partRoleSchema,
    verdict: verdictSchema,
    method: methodSchema.exactOptional(),
    reason: z.string().trim().min(3).max(400),
  }),
  describe: ({ part, verdict, reason }) => `Overruled ${part}: ${verdict}, because ${reason}`,
});
