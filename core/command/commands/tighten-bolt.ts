import { z } from 'zod';
import { instrumentId } from '../../job';
import { ok } from '../../problem';
import { quantityOf } from '../../quantity';
import { boltProgress } from '../../task';
import { defineCommand, readyStep, refOf, stampOf } from '../define-command';

/** A click of the wrench on a bolt. It is kept whatever it is; whether it counts follows from order and setting. */
export const tightenBolt = defineCommand({
  kind: 'tighten-bolt',
  body: z.strictObject({
    step: z.string().max(80),
    bolt: z.int().min(1).max(96),
    torque: quantityOf('torque').refine((torque) => torque.value > 0, 'a click has a torque'),
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ step: id, bolt, torque, readBy }, asked) => {
    const step = readyStep(asked, id, 'bolt-up');
    if (!step.ok) return step;
    const by = stampOf(asked, readBy);
    if (!by.ok) return by;
    const { pass } = boltProgress(asked.state, id, step.value.task);
    return ok([
      { kind: 'bolt-tightened', body: { step: refOf(step.value), pass, bolt, torque, readBy: by.value } },
    ]);
  },
});
