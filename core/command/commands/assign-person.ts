import { z } from 'zod';
import { personStamp } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand } from '../define-command';
import { NOT_KNOWN_HERE } from '../edge';

/** Who the job is with, by the stamp that the shop has of them. */
export const assignPerson = defineCommand({
  kind: 'assign-person',
  body: z.strictObject({ person: personStamp }),
  decide: ({ person: given }, { colleague }) => {
    const known = colleague(given.id);
    if (known === undefined) return refuse({ code: 'person.unknown', id: given.id });
    const person = known === NOT_KNOWN_HERE ? given : known;
    return ok([{ kind: 'person-assigned', body: { person } }]);
  },
});
