import { z } from 'zod';
import { partRoleSchema } from '../../inspection';
import { ok, refuse } from '../../problem';
import { quantityOf } from '../../quantity';
import { defineCommand, readyStep, refOf } from '../define-command';

/** A match mark, before a joint is loosened; at rebuild, where it has come to stand. */
export const setMark = defineCommand({
  kind: 'set-mark',
  body: z.strictObject({ step: z.string().max(80), part: partRoleSchema, clock: quantityOf('angle') }),
  decide: ({ step: id, part, clock }, asked) => {
    const step = readyStep(asked, id, 'marks');
    if (!step.ok) return step;
    const { parts } = step.value.task;
    if (!parts.includes(part))
      return refuse({ code: 'step.wants', step: step.value.title, wants: parts.join(', ') });
    return ok([{ kind: 'mark-set', body: { step: refOf(step.value), part, clock } }]);
  },
});
