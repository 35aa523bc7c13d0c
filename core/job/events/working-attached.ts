import { z } from 'zod';
import { defineEvent } from '../define-event';

/** A calculation kept with the job: what went in, what came out, whose figure it is. */
export const workingAttached = defineEvent({
  kind: 'working-attached',
  notWork: true,
  body: z.strictObject({
    working: z.string().max(60),
    title: z.string().max(120),
    given: z.record(z.string().max(40), z.json()),
    answer: z.array(z.strictObject({ label: z.string().max(120), value: z.string().max(2000) })).max(40),
    source: z.string().max(300),
  }),
  describe: ({ title, answer }) =>
    `${title}: ${answer
      .slice(0, 3)
      .map(({ label, value }) => `${label} ${value}`)
      .join(', ')}`,
});
