import { z } from 'zod';
import { ok } from '../../problem';
import { defineCommand, readyStep } from '../define-command';

/** The part is in and matches the old one. */
export const receivePart = defineCommand({
  kind: 'receive-part',
  body: z.strictObject({ step: z.string().max(80) }),
  decide: ({ step: id }, asked) => {
    const step = readyStep(asked, id, 'arrive');
    return step.ok ? ok([{ kind: 'part-arrived', body: { part: step.value.task.part } }]) : step;
  },
});
