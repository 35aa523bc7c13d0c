import { z } from 'zod';
import { anyQuantity, phrase, quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

export const measured = defineEvent({
  kind: 'measured',
  body: z.strictObject({
    step: stepRef,
    what: z.string().min(1).max(60),
    value: anyQuantity,
    readBy,
    /** How long the instrument had stood still when it was kept, where it was watched. */
    steadyFor: quantityOf('time').exactOptional(),
  }),
  describe: ({ what, value }) => phrase`${what} ${value}`,
});
