import { z } from 'zod';
import { LEAK_SOURCES } from '../../job';
import { ok, refuse } from '../../problem';
import { leakCauses, StepFacts, untracedLeak } from '../../task';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Where the last run of a test leaked: nothing is reopened that this does not ask for. */
export const traceLeak = defineCommand({
  kind: 'trace-leak',
  body: z.strictObject({ step: z.string().max(80), to: z.enum(LEAK_SOURCES) }),
  decide: ({ step: id, to }, asked) => {
    const step = readyStep(asked, id, 'pressure-test');
    if (!step.ok) return step;
    const { task, title } = step.value;
    if (!untracedLeak(task, new StepFacts(asked.state, id, false)))
      return refuse({ code: 'step.wants', step: title, wants: 'a run that leaked' });
    const causes = leakCauses(task, asked.plan.valve.features).flatMap(({ source }) => source ?? []);
    if (!causes.includes(to))
      return refuse({ code: 'step.wants', step: title, wants: causes.join(', ') || 'no place by name' });
    return ok([{ kind: 'leak-traced', body: { step: refOf(step.value), to } }]);
  },
});
