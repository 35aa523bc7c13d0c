import { z } from 'zod';
import { defineEvent } from '../define-event';

export const entryStruck = defineEvent({
  kind: 'entry-struck',
  notWork: true,
  body: z.strictObject({ entry: z.int().positive(), reason: z.string().trim().min(3).max(400) }),
  describe: ({ entry, reason }) => `Struck entry ${entry}: ${reason}`,
});
