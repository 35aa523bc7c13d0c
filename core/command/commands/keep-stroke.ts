import { z } from 'zod';
import { instrumentId } from '../../job';
import { strokeTested } from '../../job/events/stroke-tested';
import { ok, refuse } from '../../problem';
import { workedStroke } from '../../task';
import { defineCommand, readyStep, refOf, stampOf } from '../define-command';

const { points } = strokeTested.body.shape;

/** A stroke test, read live or by hand. */
export const keepStroke = defineCommand({
  kind: 'keep-stroke',
  body: z.strictObject({
    step: z.string().max(80),
    points,
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ step: id, points: read, readBy }, asked) => {
    const step = readyStep(asked, id, 'stroke-test');
    if (!step.ok) return step;
    if (!workedStroke(read))
      return refuse({
        code: 'input.conflict',
        fields: ['points'],
        why: 'The points must go from 0 % to 100 % of the signal, and the travel with them.',
      });
    const by = stampOf(asked, readBy);
    return by.ok
      ? ok([{ kind: 'stroke-tested', body: { step: refOf(step.value), points: read, readBy: by.value } }])
      : by;
  },
});
