import { sayDay } from '../../quantity';
import { temporarySchema } from '../carried';
import { defineEvent } from '../define-event';

/** Something is left as it is, or held by a makeshift, until a day. */
export const leftForNow = defineEvent({
  kind: 'left-for-now',
  body: temporarySchema,
  describe: ({ what, recall }) => `Left for now, to be put right by ${sayDay(recall)}: ${what}`,
});
