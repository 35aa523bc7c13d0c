import { z } from 'zod';
import { CHECK_IDS, checkOf, checksFor, SYMPTOM_IDS, symptomsOf } from '../../diagnosis';
import { instrumentId } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand, stampOf } from '../define-command';

/** An answer for the fault finder. A check done again counts as it was answered last. */
export const takeEvidence = defineCommand({
  kind: 'take-evidence',
  body: z.strictObject({
    symptom: z.enum(SYMPTOM_IDS),
    check: z.enum(CHECK_IDS),
    result: z.int().min(0).max(9),
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ symptom, check, result, readBy }, asked) => {
    const { features } = asked.plan.valve;
    if (!symptomsOf(features).includes(symptom) || !checksFor(features, symptom).includes(check))
      return refuse({
        code: 'input.conflict',
        fields: ['check'],
        why: 'This valve has nothing to check there.',
      });
    if (result >= checkOf(check).results.length)
      return refuse({
        code: 'input.out-of-range',
        field: 'result',
        value: String(result),
        allowed: `0 to ${checkOf(check).results.length - 1}`,
        why: 'the check has no such answer',
      });
    const by = stampOf(asked, readBy);
    return by.ok ? ok([{ kind: 'evidence-taken', body: { symptom, check, result, readBy: by.value } }]) : by;
  },
});
