import { z } from 'zod';
import { findingSchema, partRoleSchema } from '../../inspection';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const findingMade = defineEvent({
  kind: 'finding-made',
  body: z.strictObject({ step: stepRef, part: partRoleSchema, finding: findingSchema }),
  describe: ({ part, finding }) => `${part}: ${finding.kind}`,
});
