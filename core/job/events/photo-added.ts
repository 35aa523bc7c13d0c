import { z } from 'zod';
import { partRoleSchema } from '../../inspection';
import { defineEvent } from '../define-event';
import { photoId } from '../ids';

/** A photograph, pinned to a part where it shows one; the picture itself lies beside the log. */
export const photoAdded = defineEvent({
  kind: 'photo-added',
  body: z.strictObject({
    photo: photoId,
    part: partRoleSchema.exactOptional(),
    caption: z.string().trim().min(1).max(200),
  }),
  describe: ({ part, caption }) => `Photograph${part ? ` of the ${part}` : ''}: ${caption}`,
});
