import { temporarySchema } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand } from '../define-command';

/** Leaves something as it is until a day: the valve is recalled by then, and its next job puts it right. */
export const leaveForNow = defineCommand({
  kind: 'leave-for-now',
  body: temporarySchema,
  decide: (body, { now }) =>
    body.recall <= now.slice(0, 10)
      ? refuse({
          code: 'input.out-of-range',
          field: 'recall',
          value: body.recall,
          allowed: 'after today',
          why: 'by then it is put right',
        })
      : ok([{ kind: 'left-for-now', body }]),
});
