import { z } from 'zod';
import { wayChosenSchema, SCHOOLS } from '../../inspection';
import { defineEvent } from '../define-event';

/** On this job, one way of working is chosen where practitioners disagree. */
export const wayChosen = defineEvent({
  kind: 'way-chosen',
  body: z.strictObject({ way: wayChosenSchema }),
  describe: ({ way }) => `${SCHOOLS[way.question].question}: ${way.choice}`,
});
