import { z } from 'zod';
import { didWork } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Only an inspector, and never one who did the work. */
export const releaseHold = defineCommand({
  kind: 'release-hold',
  signed: true,
  body: z.strictObject({ step: z.string().max(80) }),
  decide: ({ step: id }, asked) => {
    const { person, state, plan } = asked;
    if (person.role !== 'inspector') return refuse({ code: 'hold.wrong-role', role: person.role });
    const step = readyStep(asked, id, 'hold');
    if (!step.ok) return step;
    if (didWork(state, person.id)) return refuse({ code: 'hold.own-work', person: person.name });
    const open = [...plan.calls.values()].filter(({ verdict }) => verdict === 'ask').map(({ part }) => part);
    if (open.length > 0) return refuse({ code: 'hold.asks-open', parts: open });
    return ok([{ kind: 'hold-released', body: { step: refOf(step.value) } }]);
  },
});
