import { z } from 'zod';
import { sayDay } from '../../quantity';
import { partRoleSchema } from '../../inspection';
import { defineEvent } from '../define-event';

export const partOrdered = defineEvent({
  kind: 'part-ordered',
  body: z.strictObject({ part: partRoleSchema, expected: z.iso.date() }),
  describe: ({ part, expected }) => `Ordered ${part}, expected ${sayDay(expected)}`,
});
