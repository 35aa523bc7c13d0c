import { z } from 'zod';
import { instrumentId } from '../../job';
import { strokeTested } from '../../job/events/stroke-tested';
import { ok, refuse } from '../../problem';
import { workedStroke } from '../../task';
import { defineCommand, readyStep, refOf, stampOf } from '../define-command';

const { points, recording } = strokeTested.body.shape;

/** A stroke test, read live or by hand. */
export const keepStroke = defineCommand({
  kind: 'keep-stroke',
  body: z.strictObject({
    step: z.string().max(80),
    points,
    recording,
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ step: id, points: read, recording: curve, readBy }, asked) => {
    const step = readyStep(asked, id, 'stroke-test');
    if (!step.ok) return step;
    if (!workedStroke(read))
      return refuse({
        code: 'input.conflict',
        fields: ['points'],
        why: 'The points must go from 0 % to 100 % of the signal, and the travel with them.',
      });
    if (curve && curve.signal.length !== curve.travel.length)
      return refuse({
        code: 'input.conflict',
        fields: ['recording'],
        why: 'As many signals as travels.',
      });
    const by = stampOf(asked, readBy);
    return by.ok
      ? ok([
          {
            kind: 'stroke-tested',
            body: {
              step: refOf(step.value),
              points: read,
              ...(curve ? { recording: curve } : {}),
              readBy: by.value,
            },
          },
        ])
      : by;
  },
});
