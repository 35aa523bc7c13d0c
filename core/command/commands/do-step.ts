import { z } from 'zod';
import { ok, refuse } from '../../problem';
import { StepFacts, taskKind } from '../../task';
import { anyReadyStep, defineCommand, mayOnly, refOf } from '../define-command';

/** A step that is simply done, once nothing is wanting; or passed over, where it says when it is wanted at all. */
export const doStep = defineCommand({
  kind: 'do-step',
  body: z.strictObject({
    step: z.string().max(80),
    note: z.string().trim().max(400).exactOptional(),
    /** Passed over: only for a step that says when it is wanted. */
    notNeeded: z.literal(true).exactOptional(),
  }),
  decide: ({ step: id, note, notNeeded }, asked) => {
    const ready = anyReadyStep(asked, id);
    if (!ready.ok) return ready;
    const step = ready.value;
    const kind = taskKind(step.task);
    if (step.task.kind === 'do' && step.task.mayBy) {
      const may = mayOnly(asked, ...step.task.mayBy);
      if (!may.ok) return may;
    }
    const no = (wants: string) => refuse({ code: 'step.wants' as const, step: step.title, wants });
    if (!kind.wantsByHand) return no(step.task.kind);
    if (notNeeded && step.optional === undefined) return no('to be done: it is always needed');
    const facts = new StepFacts(asked.state, id, step.optional !== undefined);
    const wants = notNeeded ? undefined : kind.wantsByHand(step.task, facts, note);
    if (wants !== undefined) return no(wants);
    const isAuthority = step.task.kind === 'do' && step.task.mayBy !== undefined;
    const body = {
      step: refOf(step),
      ...(note ? { note } : {}),
      ...(notNeeded ? { notNeeded } : {}),
      ...(isAuthority ? { asAuthority: true as const } : {}),
    };
    return ok([{ kind: 'step-done', body }]);
  },
});
