import { z } from 'zod';
import { detailsSchema } from '../../valve';
import { defineEvent } from '../define-event';

export const valveIdentified = defineEvent({
  kind: 'valve-identified',
  body: z.strictObject({ details: detailsSchema }),
  describe: ({ details }) => `Learnt: ${Object.keys(details).join(', ')}`,
});
