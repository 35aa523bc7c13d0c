import { z } from 'zod';
import { phrase } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

/** A curve is kept thinned to this many points: what paper can show. */
export const MOST_POINTS = 500;

/** A pressure as an instrument drew it over time, thinned; the readings taken from it stand beside it. */
export const curveKept = defineEvent({
  kind: 'curve-kept',
  body: z.strictObject({
    step: stepRef,
    what: z.string().min(1).max(60),
    /** Seconds since it began. */
    seconds: z.array(z.number().min(0).max(36_000)).min(2).max(MOST_POINTS),
    /** At those moments, psig. */
    psig: z.array(z.number().min(-15).max(100_000)).min(2).max(MOST_POINTS),
    /** The recording that it was read out of. */
    file: z.string().min(1).max(120).exactOptional(),
    readBy,
  }),
  describe: ({ what, seconds, file }) =>
    phrase`${what}: a curve of ${seconds.length} points${file === undefined ? '' : `, out of ${file}`}`,
});
