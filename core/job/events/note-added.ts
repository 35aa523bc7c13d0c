import { z } from 'zod';
import { defineEvent } from '../define-event';

export const noteAdded = defineEvent({
  kind: 'note-added',
  notWork: true,
  body: z.strictObject({ text: z.string().trim().min(1).max(1000) }),
  describe: ({ text }) => text,
});
