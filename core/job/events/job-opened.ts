import { z } from 'zod';
import { siteRulesSchema } from '../../inspection';
import { SHELF_UNIT_KINDS, valveSchema } from '../../valve';
import { defineEvent } from '../define-event';

export const jobOpened = defineEvent({
  kind: 'job-opened',
  notWork: true,
  body: z.strictObject({
    valve: valveSchema,
    site: siteRulesSchema,
    /** In its line, to be isolated; or bare on the bench with a decontamination certificate. */
    came: z.enum(['in line', 'bare']),
    reported: z.string().max(400),
    due: z.iso.date().exactOptional(),
    /** Only this unit of the valve is on the bench: it was swapped out and goes back to the shelf. */
    only: z.enum(SHELF_UNIT_KINDS).exactOptional(),
  }),
  describe: ({ valve, reported }) => `Received ${valve.tag}${reported ? `: ${reported}` : ''}`,
});
