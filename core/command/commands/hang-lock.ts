import { z } from 'zod';
import { hangingLocks } from '../../job';
import { lockNumber } from '../../job/events/lock-hung';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Somebody's own lock and tag on a point that is shut. A lock hangs in one place at a time. */
export const hangLock = defineCommand({
  kind: 'hang-lock',
  body: z.strictObject({ step: z.string().max(80), lock: lockNumber, tag: lockNumber }),
  decide: ({ step: id, lock, tag }, asked) => {
    const step = readyStep(asked, id, 'lock');
    if (!step.ok) return step;
    const elsewhere = hangingLocks(asked.state).find(({ body }) => body.lock === lock);
    if (elsewhere) return refuse({ code: 'lock.elsewhere', lock, where: elsewhere.body.step.title });
    const { point } = step.value.task;
    return ok([{ kind: 'lock-hung', body: { step: refOf(step.value), point, lock, tag } }]);
  },
});
