import { makersSheetFiled } from '../../job/events/makers-sheet-filed';
import { ok, refuse } from '../../problem';
import { si } from '../../quantity';
import { sheetKey } from '../../valve';
import { defineCommand } from '../define-command';

/** The maker's figures of this valve's model, used from now on for every valve of it; a newer revision replaces them. */
export const fileMakersSheet = defineCommand({
  kind: 'file-makers-sheet',
  body: makersSheetFiled.body,
  decide: ({ sheet }, { plan }) => {
    const model = plan.valve.plate?.model;
    if (model !== undefined && sheetKey(model) !== sheetKey(sheet.model))
      return refuse({
        code: 'input.conflict',
        fields: ['model'],
        why: `The sheet is for ${sheet.model}, the plate says ${model}.`,
      });
    const { torques = {}, lengths = {}, ...others } = sheet.figures;
    for (const [field, given] of Object.entries({ ...others, ...torques, ...lengths }))
      if (si(given.value) <= 0)
        return refuse({
          code: 'input.out-of-range',
          field,
          value: `${given.value.value} ${given.value.unit}`,
          allowed: 'more than 0',
          why: 'less has no meaning here',
        });
    return ok([{ kind: 'makers-sheet-filed', body: { sheet } }]);
  },
});
