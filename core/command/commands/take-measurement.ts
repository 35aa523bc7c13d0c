import { z } from 'zod';
import { STEADY_FOR, steadiness, type Watched } from '../../isolation';
import { instrumentId, onStep, type ReadBy } from '../../job';
import { issuesFromZod, ok, refuse, type Result } from '../../problem';
import type { MeasureAsk } from '../../task';
import { quantityOf, type Time } from '../../quantity';
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
    /** What a gauge showed while it was watched, oldest first. */
    watched: z
      .array(z.strictObject({ after: quantityOf('time'), reads: quantityOf('gauge pressure') }))
      .max(200)
      .exactOptional(),
  }),
  decide: ({ step: id, what, value, readBy, watched = [] }, asked) => {
    const step = readyStep(asked, id, 'measure');
    if (!step.ok) return step;
    const { otherThan } = step.value.task;
    const readBefore = otherThan === undefined ? [] : onStep(asked.state, 'measured', otherThan);
    if (readBefore.some(({ by }) => by.id === asked.person.id))
      return refuse({ code: 'reading.own', person: asked.person.name });
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
    if (ask.dimension === 'length' && (ask.orNought ? read.data.value < 0 : read.data.value <= 0)) {
      return refuse({
        code: 'input.out-of-range',
        field: what,
        value: `${read.data.value} ${read.data.unit}`,
        allowed: ask.orNought ? '0 or more' : 'more than 0',
        why: 'less has no meaning here',
      });
    }
    const by = stampOf(asked, readBy);
    if (!by.ok) return by;
    const stood = stoodStill(ask, by.value, watched);
    if (!stood.ok) return stood;
    const steadyFor = stood.value === undefined ? {} : { steadyFor: stood.value };
    return ok([
      {
        kind: 'measured',
        body: { step: refOf(step.value), what, value: read.data, readBy: by.value, ...steadyFor },
      },
    ]);
  },
});

/** A gauge that still falls proves nothing and stops nothing: where a reading decides, it must have stood first. */
function stoodStill(
  { what, mustBe }: MeasureAsk,
  by: ReadBy,
  watched: readonly Watched[],
): Result<Time | undefined> {
  if (mustBe === undefined || by === 'hand' || by.kind !== 'gauge') return ok(undefined);
  const found = steadiness(watched);
  if (found.kind === 'steady') return ok(STEADY_FOR);
  return refuse({
    code: 'reading.not-steady',
    what,
    ...(found.kind === 'moving' ? { change: found.change } : {}),
    over: STEADY_FOR,
  });
}
