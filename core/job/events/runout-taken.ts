import { z } from 'zod';
import { LEAST_READINGS } from '../../analysis';
import { quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

export const runoutTaken = defineEvent({
  kind: 'runout-taken',
  body: z.strictObject({
    step: stepRef,
    /** At equal angles from the 12 o'clock mark. */
    readings: z.array(quantityOf('length')).min(LEAST_READINGS).max(72),
    readBy,
  }),
  describe: ({ readings }) => `Runout of the stem, ${readings.length} readings`,
});
