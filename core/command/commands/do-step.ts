import { z } from 'zod';
import { ok, refuse } from '../../problem';
import type { Task } from '../../procedure';
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
    const step = readyStep(asked, id, 'do', 'lapping', 'place', 'measure', 'makers-sheet');
    if (!step.ok) return step;
    if (notNeeded && step.value.optional === undefined) {
      return refuse({ code: 'step.wants', step: step.value.title, wants: 'to be done: it is always needed' });
    }
    const { task } = step.value;
    const wants = notNeeded ? undefined : wantedBy(task);
    if (wants !== undefined) return refuse({ code: 'step.wants', step: step.value.title, wants });
    if (task.kind === 'do' && task.writes !== undefined && !note && !notNeeded) {
      return refuse({ code: 'step.wants', step: step.value.title, wants: task.writes });
    }
    if (
      task.kind === 'lapping' &&
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

/** What finishes a step that may only be passed over here. */
function wantedBy(task: Task): string | undefined {
  switch (task.kind) {
    case 'place':
      return 'the fault placed';
    case 'measure':
      return task.asks.map(({ what }) => what).join(', ');
    case 'makers-sheet':
      return 'the maker’s figures';
    default:
      return undefined;
  }
}
