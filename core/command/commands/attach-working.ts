import { z } from 'zod';
import { ok } from '../../problem';
import { describeSource } from '../../standards';
import { answerLines, findWorking } from '../../workings';
import { defineCommand } from '../define-command';

/** Keeps a calculation with the job; it is worked again here, so that the log holds only what the core says. */
export const attachWorking = defineCommand({
  kind: 'attach-working',
  body: z.strictObject({
    working: z.string().max(60),
    given: z
      .record(z.string().max(40), z.json())
      .refine((given) => JSON.stringify(given).length <= 20_000, 'too much to keep with a job'),
  }),
  decide: ({ working: id, given }) => {
    const working = findWorking(id);
    if (!working.ok) return working;
    const worked = working.value.run(given);
    if (!worked.ok) return worked;
    const answer = answerLines(working.value, worked.value);
    const source = describeSource(worked.value.source);
    return ok([
      { kind: 'working-attached', body: { working: id, title: working.value.title, given, answer, source } },
    ]);
  },
});
