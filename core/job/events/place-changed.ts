import { z } from 'zod';
import { defineEvent } from '../define-event';
import { PLACE_WORDS, PLACES } from '../places';

/** The work is done elsewhere than was said when the job was opened. */
export const placeChanged = defineEvent({
  kind: 'place-changed',
  notWork: true,
  body: z.strictObject({ place: z.enum(PLACES), reason: z.string().min(3).max(400) }),
  describe: ({ place, reason }) => `Where it is worked on: ${PLACE_WORDS[place]}. ${reason}`,
});
