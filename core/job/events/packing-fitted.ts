import { z } from 'zod';
import { quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const packingFitted = defineEvent({
  kind: 'packing-fitted',
  body: z.strictObject({
    step: stepRef,
    section: quantityOf('length'),
    length: quantityOf('length'),
    /** Where each ring's joint lies, bottom ring first. */
    joints: z.array(quantityOf('angle')).min(1).max(40),
  }),
  describe: ({ joints }) => `${joints.length} packing rings fitted`,
});
