import { z } from 'zod';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** A step that is simply done; a lapping step only once a round is in its log. */
export const doStep = defineCommand({
  kind: 'do-step',
  body: z.strictObject({
    step: z.string().max(80),
    note: z.string().trim().max(400).exactOptional(),
    /** Passed over: only for a step that says when it is wanted. */
    notNeeded: z.literal(true).exactOptional(),
  }),
  decide: ({ step: id, note, notNeeded }, asked) => {
    const step = readyStep(asked, id, 'do', 'lapping');
    if (!step.ok) return step;
    if (notNeeded && step.value.optional === undefined) {
      return refuse({ code: 'step.wants', step: step.value.title, wants: 'to be done: it is always needed' });
    }
    if (
      step.value.task.kind === 'lapping' &&
      !asked.state.records['lapping-logged'].some(({ body }) => body.step.id === id)
    ) {
      return refuse({
        code: 'step.wants',
        step: step.value.title,
        wants: 'at least one round in the lapping log',
      });
    }
    const body = {
      step: refOf(step.value),
      ...(note ? { note } : {}),
      ...(notNeeded ? { notNeeded } : {}),
    };
    return ok([{ kind: 'step-done', body }]);
  },
});
