import { z } from 'zod';
import { filedSheet, plateNamesModel } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand } from '../define-command';

/** A second person takes the sheet filed on this job for the shop: used for every valve of its model from then on. */
export const checkMakersSheet = defineCommand({
  kind: 'check-makers-sheet',
  body: z.strictObject({ filed: z.int().positive() }),
  decide: ({ filed: seq }, { state, person }) => {
    const sheet = filedSheet(state);
    if (sheet?.filed.seq !== seq) return refuse({ code: 'entry.unknown', seq });
    if (sheet.checked || sheet.fromShop)
      return refuse({ code: 'step.already-done', step: 'Check of the maker’s sheet' });
    if (sheet.filed.by.id === person.id) return refuse({ code: 'sheet.own', person: person.name });
    const { model, revision } = sheet.filed.body.sheet;
    if (!plateNamesModel(state, model))
      return refuse({
        code: 'input.conflict',
        fields: ['model'],
        why: `The plate does not name ${model}: the sheet is used on this job alone.`,
      });
    return ok([{ kind: 'makers-sheet-checked', body: { filed: seq, model, revision } }]);
  },
});
