import { partLaid } from '../../job/events/part-laid';
import { ok, refuse } from '../../problem';
import { defineCommand } from '../define-command';

/** Keep, discard or hold; said again, the last word counts. */
export const layPart = defineCommand({
  kind: 'lay-part',
  body: partLaid.body,
  decide: (body, { plan }) => {
    const off = plan.steps.some((step) => step.status === 'done' && step.off.includes(body.part));
    return off
      ? ok([{ kind: 'part-laid', body }])
      : refuse({ code: 'input.conflict', fields: ['part'], why: `The ${body.part} has not come off yet.` });
  },
});
