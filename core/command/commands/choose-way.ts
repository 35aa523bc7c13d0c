import { z } from 'zod';
import { wayChosenSchema } from '../../inspection';
import { ok } from '../../problem';
import { defineCommand } from '../define-command';

/** One school of practice for this job, where the site's is not wanted. */
export const chooseWay = defineCommand({
  kind: 'choose-way',
  body: z.strictObject({ way: wayChosenSchema }),
  decide: ({ way }) => ok([{ kind: 'way-chosen', body: { way } }]),
});
