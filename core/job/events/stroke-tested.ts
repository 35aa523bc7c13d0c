import { z } from 'zod';
import { phrase, quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';
import { MOST_POINTS } from './curve-kept';

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
    /** The recording that the points were read out of: its file, and its curve, thinned; percent, both. */
    recording: z
      .strictObject({
        file: z.string().min(1).max(120),
        signal: z.array(z.number().min(-50).max(150)).min(2).max(MOST_POINTS),
        travel: z.array(z.number().min(-100).max(200)).min(2).max(MOST_POINTS),
      })
      .exactOptional(),
    readBy,
  }),
  describe: ({ points, recording }) =>
    phrase`stroke test of ${points.length} points, up and down${recording ? `, out of ${recording.file}` : ''}`,
});
