import { z } from 'zod';
import { defineEvent } from '../define-event';
import { personStamp } from '../people';

export const personAssigned = defineEvent({
  kind: 'person-assigned',
  notWork: true,
  body: z.strictObject({ person: personStamp }),
  describe: ({ person }) => `With ${person.name}`,
});
