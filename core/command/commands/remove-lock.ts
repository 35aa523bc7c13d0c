import { z } from 'zod';
import { hangingLocks } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** A lock comes off by the hand that hung it; a lead may take it off for somebody absent, and says why. */
export const removeLock = defineCommand({
  kind: 'remove-lock',
  body: z.strictObject({
    step: z.string().max(80),
    reason: z.string().trim().max(400).exactOptional(),
  }),
  decide: ({ step: id, reason }, asked) => {
    const step = readyStep(asked, id, 'unlock');
    if (!step.ok) return step;
    const { point } = step.value.task;
    const hung = hangingLocks(asked.state).find(({ body }) => body.point === point);
    if (!hung)
      return refuse({ code: 'step.wants', step: step.value.title, wants: 'a lock that hangs there' });
    const own = hung.by.id === asked.person.id;
    if (!own && (asked.person.role !== 'lead' || !reason))
      return refuse({ code: 'lock.not-yours', lock: hung.body.lock, owner: hung.by.name });
    return ok([
      {
        kind: 'lock-removed',
        body: {
          step: refOf(step.value),
          point,
          lock: hung.body.lock,
          ...(own || !reason ? {} : { reason }),
        },
      },
    ]);
  },
});
