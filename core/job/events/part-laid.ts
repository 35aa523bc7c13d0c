import { z } from 'zod';
import { partRoleSchema } from '../../inspection';
import { defineEvent } from '../define-event';

export const LOTS = ['keep', 'discard', 'hold'] as const;

/** What becomes of a part on the tray. */
export const partLaid = defineEvent({
  kind: 'part-laid',
  body: z.strictObject({ part: partRoleSchema, lot: z.enum(LOTS) }),
  describe: ({ part, lot }) => `${part}: ${lot}`,
});
