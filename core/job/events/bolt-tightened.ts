import { z } from 'zod';
import { phrase, quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

export const boltTightened = defineEvent({
  kind: 'bolt-tightened',
  body: z.strictObject({
    step: stepRef,
    /** Index of the pass, the circular check pass last. */
    pass: z.int().min(0).max(9),
    bolt: z.int().min(1).max(96),
    torque: quantityOf('torque'),
    readBy,
  }),
  describe: ({ bolt, pass, torque }) => phrase`Bolt ${bolt}, pass ${pass + 1}: ${torque}`,
});
