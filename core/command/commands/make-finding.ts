import { z } from 'zod';
import { findingSchema } from '../../inspection';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** What was seen on the part that a step looks at. */
export const makeFinding = defineCommand({
  kind: 'make-finding',
  body: z.strictObject({ step: z.string().max(80), finding: findingSchema }),
  decide: ({ step: id, finding }, asked) => {
    const step = readyStep(asked, id, 'look');
    if (!step.ok) return step;
    const { choices, part } = step.value.task;
    if (!choices.some((choice) => choice.finding.kind === finding.kind)) {
      return refuse({
        code: 'step.wants',
        step: step.value.title,
        wants: [...new Set(choices.map((choice) => choice.finding.kind))].join(', '),
      });
    }
    if ('depth' in finding && finding.depth.value <= 0) {
      return refuse({
        code: 'input.out-of-range',
        field: 'depth',
        value: `${finding.depth.value} ${finding.depth.unit}`,
        allowed: 'more than 0',
        why: 'damage has a depth; otherwise it is sound',
      });
    }
    return ok([{ kind: 'finding-made', body: { step: refOf(step.value), part, finding } }]);
  },
});
