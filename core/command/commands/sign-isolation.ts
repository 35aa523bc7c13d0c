import { z } from 'zod';
import { SIGNING_SIDES } from '../../job/events/isolation-signed';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Two people sign an isolation, and its taking off: who did it and who checked it. Nobody signs both, whatever their role. */
export const signIsolation = defineCommand({
  kind: 'sign-isolation',
  body: z.strictObject({ step: z.string().max(80), side: z.enum(SIGNING_SIDES) }),
  decide: ({ step: id, side }, asked) => {
    const step = readyStep(asked, id, 'sign-off');
    if (!step.ok) return step;
    const signed = asked.state.records['isolation-signed'].filter(({ body }) => body.step.id === id);
    if (signed.some(({ body }) => body.side === side))
      return refuse({ code: 'step.already-done', step: `${step.value.title}: ${side}` });
    if (signed.some(({ by }) => by.id === asked.person.id))
      return refuse({ code: 'isolation.both-sides', person: asked.person.name });
    return ok([{ kind: 'isolation-signed', body: { step: refOf(step.value), side } }]);
  },
});
