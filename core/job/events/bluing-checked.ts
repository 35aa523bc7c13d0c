import { z } from 'zod';
import { quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const bluingChecked = defineEvent({
  kind: 'bluing-checked',
  body: z.strictObject({
    step: stepRef,
    diameter: quantityOf('length'),
    /** Stretches of the line, degrees clockwise from 12 o'clock. */
    arcs: z
      .array(
        z.strictObject({ from: quantityOf('angle'), to: quantityOf('angle'), width: quantityOf('length') }),
      )
      .max(72),
  }),
  describe: ({ step, arcs }) => `${step.title}: ${arcs.length === 0 ? 'no contact' : 'line marked'}`,
});
