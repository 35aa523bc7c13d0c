import { z } from 'zod';
import { defineEvent } from '../define-event';

/** What was in the bag, line by line of its printed sheet; what follows from it is computed. */
export const kitChecked = defineEvent({
  kind: 'kit-checked',
  body: z.strictObject({
    sheet: z.string().min(1).max(60),
    kit: z.string().min(1).max(60),
    found: z
      .array(
        z.strictObject({
          line: z.string().min(1).max(20),
          count: z.int().min(0).max(999),
          /** As printed on the bag, such as 2Q24. */
          cureDate: z.string().max(20).exactOptional(),
        }),
      )
      .max(200),
  }),
  describe: ({ sheet, kit, found }) =>
    `Kit ${kit} of sheet ${sheet} checked: ${found.filter(({ count }) => count > 0).length} lines in the bag`,
});
