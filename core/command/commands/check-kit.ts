import { kitChecked } from '../../job/events/kit-checked';
import { ok } from '../../problem';
import { defineCommand } from '../define-command';

/** The bag was counted against its printed sheet. It may be counted again: the last count stands. */
export const checkKit = defineCommand({
  kind: 'check-kit',
  body: kitChecked.body,
  decide: (body) => ok([{ kind: 'kit-checked', body }]),
});
