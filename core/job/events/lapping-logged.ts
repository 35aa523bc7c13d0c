import { z } from 'zod';
import { quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const lappingLogged = defineEvent({
  kind: 'lapping-logged',
  body: z.strictObject({
    step: stepRef,
    /** Grit number as it stands on the pot. */
    grit: z.int().min(40).max(3000),
    minutes: quantityOf('time'),
    /** Disc against its own seat, or a part against a block or lap. */
    against: z.enum(['its own seat', 'a block or lap']),
  }),
  describe: ({ grit, minutes, against }) =>
    `Grit ${grit}, ${minutes.value} ${minutes.unit}, against ${against}`,
});
