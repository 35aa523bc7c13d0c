import { z } from 'zod';
import { partRoleSchema } from '../../inspection';
import { defineEvent } from '../define-event';

export const partArrived = defineEvent({
  kind: 'part-arrived',
  body: z.strictObject({ part: partRoleSchema }),
  describe: ({ part }) => `${part} arrived`,
});
