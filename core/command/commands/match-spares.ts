import { z } from 'zod';
import { laidSpare } from '../../valve';
import { ok } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Lays spares and papers against the plate. A mismatch is kept and holds the step: it is laid out again, rightly. */
export const matchSpares = defineCommand({
  kind: 'match-spares',
  body: z.strictObject({ step: z.string().max(80), laid: z.array(laidSpare).min(1).max(20) }),
  decide: ({ step: id, laid }, asked) => {
    const step = readyStep(asked, id, 'spares');
    return step.ok ? ok([{ kind: 'spares-matched', body: { step: refOf(step.value), laid } }]) : step;
  },
});
