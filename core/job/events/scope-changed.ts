import { z } from 'zod';
import { defineEvent } from '../define-event';
import { SCOPE_WORDS, SCOPES } from '../scopes';

/** The job is for less, or for more, than was said before. */
export const scopeChanged = defineEvent({
  kind: 'scope-changed',
  notWork: true,
  body: z.strictObject({ scope: z.enum(SCOPES), reason: z.string().min(3).max(400) }),
  describe: ({ scope, reason }) => `What the job is for: ${SCOPE_WORDS[scope]}. ${reason}`,
});
