import { z } from 'zod';
import { instrumentId } from '../../job';
import { curveKept } from '../../job/events/curve-kept';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf, stampOf } from '../define-command';

const { what, seconds, psig, file } = curveKept.body.shape;

/** The curve that a reading was taken from, thinned. */
export const keepCurve = defineCommand({
  kind: 'keep-curve',
  body: z.strictObject({
    step: z.string().max(80),
    ...{ what, seconds, psig, file },
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ step: id, readBy, ...curve }, asked) => {
    const step = readyStep(asked, id, 'measure');
    if (!step.ok) return step;
    if (step.value.task.live?.kind !== 'pops')
      return refuse({ code: 'step.wants', step: step.value.title, wants: 'a reading' });
    if (curve.seconds.length !== curve.psig.length)
      return refuse({
        code: 'input.conflict',
        fields: ['seconds', 'psig'],
        why: 'As many moments as pressures.',
      });
    const by = stampOf(asked, readBy);
    return by.ok
      ? ok([{ kind: 'curve-kept', body: { step: refOf(step.value), ...curve, readBy: by.value } }])
      : by;
  },
});
