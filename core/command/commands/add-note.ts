import { z } from 'zod';
import { ok } from '../../problem';
import { defineCommand } from '../define-command';

export const addNote = defineCommand({
  kind: 'add-note',
  body: z.strictObject({ text: z.string().trim().min(1).max(1000) }),
  decide: (body) => ok([{ kind: 'note-added', body }]),
});
