import { z } from 'zod';
import { sayDay } from '../../quantity';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const certificateSigned = defineEvent({
  kind: 'certificate-signed',
  body: z.strictObject({ step: stepRef, nextDue: z.iso.date() }),
  describe: ({ nextDue }) => `Certificate signed, next due ${sayDay(nextDue)}`,
});
