import { z } from 'zod';
import { CHECK_IDS, checkOf, SYMPTOM_IDS } from '../../diagnosis';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';

/** One check of the fault finder with its answer, in whatever order. */
export const evidenceTaken = defineEvent({
  kind: 'evidence-taken',
  body: z.strictObject({
    symptom: z.enum(SYMPTOM_IDS),
    check: z.enum(CHECK_IDS),
    /** Which of the check's results, counted from 0. */
    result: z.int().min(0).max(9),
    readBy,
  }),
  describe: ({ check, result }) => {
    const { title, results } = checkOf(check);
    return `${title}: ${results[result] ?? 'no such answer'}`;
  },
});
