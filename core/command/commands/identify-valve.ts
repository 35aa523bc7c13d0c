import { z } from 'zod';
import { ok, refuse } from '../../problem';
import { parseThread } from '../../standards';
import { detailsSchema } from '../../valve';
import { defineCommand } from '../define-command';

/** Something unknown about the valve was learnt. */
export const identifyValve = defineCommand({
  kind: 'identify-valve',
  body: z.strictObject({
    details: detailsSchema.refine((details) => Object.keys(details).length > 0, 'nothing was learnt'),
  }),
  decide: ({ details }) => {
    const thread = details.thread === undefined ? undefined : parseThread(details.thread);
    if (thread && !thread.ok) return refuse(thread.problem);
    return ok([{ kind: 'valve-identified', body: { details } }]);
  },
});
