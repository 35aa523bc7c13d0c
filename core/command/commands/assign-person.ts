import { z } from 'zod';
import { personStamp } from '../../job';
import { ok } from '../../problem';
import { defineCommand } from '../define-command';

/** Who the job is with; the edge has looked the person up. */
export const assignPerson = defineCommand({
  kind: 'assign-person',
  body: z.strictObject({ person: personStamp }),
  decide: (body) => ok([{ kind: 'person-assigned', body }]),
});
