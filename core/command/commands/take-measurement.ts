import { z } from 'zod';
import { instrumentId } from '../../job';
import { issuesFromZod, ok, refuse } from '../../problem';
import { quantityOf } from '../../quantity';
import { defineCommand, readyStep, refOf, stampOf } from '../define-command';

/** One of the figures a step asks for. */
export const takeMeasurement = defineCommand({
  kind: 'take-measurement',
  body: z.strictObject({
    step: z.string().max(80),
    what: z.string().max(60),
    /** As typed, or as {value, unit}; read in the dimension that the step asks for. */
    value: z.unknown(),
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ step: id, what, value, readBy }, asked) => {
    const step = readyStep(asked, id, 'measure');
    if (!step.ok) return step;
    const ask = step.value.task.asks.find((each) => each.what === what);
    if (!ask)
      return refuse({
        code: 'step.wants',
        step: step.value.title,
        wants: step.value.task.asks.map((each) => each.what).join(', '),
      });
    const read = quantityOf(ask.dimension).safeParse(value);
    if (!read.success)
      return refuse({
        code: 'input.invalid',
        issues: issuesFromZod(read.error).map((issue) => ({ ...issue, path: what })),
      });
    if (ask.dimension === 'length' && read.data.value <= 0) {
      return refuse({
        code: 'input.out-of-range',
        field: what,
        value: `${read.data.value} ${read.data.unit}`,
        allowed: 'more than 0',
        why: 'less has no meaning here',
      });
    }
    const by = stampOf(asked, readBy);
    return by.ok
      ? ok([
          { kind: 'measured', body: { step: refOf(step.value), what, value: read.data, readBy: by.value } },
        ])
      : by;
  },
});
