import { z } from 'zod';
import { makersSheet } from '../../valve';
import { defineEvent } from '../define-event';

export const makersSheetFiled = defineEvent({
  kind: 'makers-sheet-filed',
  body: z.strictObject({ sheet: makersSheet }),
  describe: ({ sheet: { model, revision, figures } }) =>
    `Maker’s sheet of ${model}, revision ${revision}: ${Object.keys(figures).length} figures`,
});
