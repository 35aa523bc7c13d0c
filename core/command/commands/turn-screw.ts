import { z } from 'zod';
import { SCREWS } from '../../job';
import { ok, refuse } from '../../problem';
import { quantityOf, valueIn } from '../../quantity';
import { screwsOf } from '../../task';
import { defineCommand, readyStep, refOf } from '../define-command';

/** More than this in one go is set anew, not set right. */
const MOST_TURNS = 10;

/** A setting screw turned, as it will be learned from. */
export const turnScrew = defineCommand({
  kind: 'turn-screw',
  body: z.strictObject({ step: z.string().max(80), screw: z.enum(SCREWS), by: quantityOf('angle') }),
  decide: ({ step: id, screw, by }, asked) => {
    const step = readyStep(asked, id, 'measure', 'stroke-test');
    if (!step.ok) return step;
    const { task } = step.value;
    const screws = task.kind === 'stroke-test' ? task.screws : task.live ? screwsOf(task.live) : [];
    if (!screws.includes(screw))
      return refuse({
        code: 'step.wants',
        step: step.value.title,
        wants: screws.join(', ') || 'a reading',
      });
    const turns = valueIn(by, 'turn');
    if (turns === 0 || Math.abs(turns) > MOST_TURNS)
      return refuse({
        code: 'input.out-of-range',
        field: 'by',
        value: `${turns} turns`,
        allowed: `up to ${MOST_TURNS} turns either way`,
        why: 'less turns nothing, more is set anew',
      });
    return ok([{ kind: 'screw-turned', body: { step: refOf(step.value), screw, by } }]);
  },
});
