import { z } from 'zod';
import { defineEvent } from '../define-event';

/** A second person read the sheet against the maker's paper: from now on it is the shop's, for every valve of its model. */
export const makersSheetChecked = defineEvent({
  kind: 'makers-sheet-checked',
  notWork: true,
  body: z.strictObject({
    /** The entry that filed it. */
    filed: z.int().positive(),
    model: z.string().min(1).max(60),
    revision: z.string().min(1).max(20),
  }),
  describe: ({ model, revision }) =>
    `Maker’s sheet of ${model}, revision ${revision}: checked by a second person`,
});
