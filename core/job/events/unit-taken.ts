import { z } from 'zod';
import { SHELF_UNIT_KINDS } from '../../valve';
import { defineEvent } from '../define-event';

/** A unit from the shelf goes into this valve; the old one is rebuilt as a job of its own. */
export const unitTaken = defineEvent({
  kind: 'unit-taken',
  body: z.strictObject({
    unit: z.uuid(),
    kind: z.enum(SHELF_UNIT_KINDS),
    serial: z.string().min(1).max(60),
  }),
  describe: ({ kind, serial }) => `${kind} ${serial} taken from the shelf`,
});
