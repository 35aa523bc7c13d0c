import { z } from 'zod';
import { phrase, quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

/** A stroke in points by a signal: travel with the signal rising and falling, shares of its range and of the rated travel. */
export const strokeTested = defineEvent({
  kind: 'stroke-tested',
  body: z.strictObject({
    step: stepRef,
    points: z
      .array(
        z.strictObject({ signal: quantityOf('ratio'), up: quantityOf('ratio'), down: quantityOf('ratio') }),
      )
      .min(3)
      .max(21),
    readBy,
  }),
  describe: ({ points }) => phrase`stroke test of ${points.length} points, up and down`,
});
