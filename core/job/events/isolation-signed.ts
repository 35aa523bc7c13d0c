import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** Who did it, and who saw that it is so: never the same person. */
export const SIGNING_SIDES = ['done', 'checked'] as const;

export const isolationSigned = defineEvent({
  kind: 'isolation-signed',
  notWork: true,
  body: z.strictObject({ step: stepRef, side: z.enum(SIGNING_SIDES) }),
  describe: ({ step, side }) => `${step.title}: signed as ${side}`,
});
