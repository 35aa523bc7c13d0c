import { z } from 'zod';
import { lineSchema } from '../../isolation';
import { ok } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** How the valve stands in its line: what has to be shut, vented and proved follows from it. */
export const drawLine = defineCommand({
  kind: 'draw-line',
  body: z.strictObject({ step: z.string().max(80), line: lineSchema }),
  decide: ({ step: id, line }, asked) => {
    const step = readyStep(asked, id, 'line');
    return step.ok ? ok([{ kind: 'line-drawn', body: { step: refOf(step.value), line } }]) : step;
  },
});
