import { z } from 'zod';
import { instrumentId } from '../../job';
import { pressureTested } from '../../job/events/pressure-tested';
import { ok, refuse } from '../../problem';
import { leakSchema, quantityOf } from '../../quantity';
import { defineCommand, readyStep, refOf, stampOf } from '../define-command';

/** A test that was run to its end: the pressure held, for how long, and what leaked. */
export const runPressureTest = defineCommand({
  kind: 'run-pressure-test',
  body: z.strictObject({
    step: z.string().max(80),
    pressure: quantityOf('gauge pressure').refine(({ value }) => value > 0, 'a test has a pressure'),
    hold: quantityOf('time').refine(({ value }) => value > 0, 'a test is held for some time'),
    leak: leakSchema,
    file: pressureTested.body.shape.file,
    readBy: z.union([z.literal('hand'), instrumentId]),
  }),
  decide: ({ step: id, pressure, hold, leak, file, readBy }, asked) => {
    const step = readyStep(asked, id, 'pressure-test');
    if (!step.ok) return step;
    const by = stampOf(asked, readBy);
    if (!by.ok) return by;
    const { test, fluid, allowed } = step.value.task;
    if (leak.of !== allowed.of)
      return refuse({ code: 'leak.counted-otherwise', found: leak.of, wanted: allowed.of });
    return ok([
      {
        kind: 'pressure-tested',
        body: {
          step: refOf(step.value),
          test,
          fluid,
          pressure,
          hold,
          leak,
          ...(file === undefined ? {} : { file }),
          readBy: by.value,
        },
      },
    ]);
  },
});
