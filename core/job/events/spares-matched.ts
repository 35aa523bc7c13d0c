import { z } from 'zod';
import { laidSpare } from '../../valve';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** What was laid out for the job, as it is printed on it; whether it agrees with the plate is computed. */
export const sparesMatched = defineEvent({
  kind: 'spares-matched',
  body: z.strictObject({ step: stepRef, laid: z.array(laidSpare).min(1).max(20) }),
  describe: ({ laid }) => `Laid out against the plate: ${laid.map(({ what }) => what).join(', ')}`,
});
