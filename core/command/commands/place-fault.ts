import { z } from 'zod';
import { CAUSE_IDS, findFault, priorsOf, SYMPTOM_IDS } from '../../diagnosis';
import { evidenceOn } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** A person says where the fault lies; how likely the finder held it stands beside. */
export const placeFault = defineCommand({
  kind: 'place-fault',
  body: z.strictObject({
    step: z.string().max(80),
    symptom: z.enum(SYMPTOM_IDS),
    cause: z.enum(CAUSE_IDS),
    note: z.string().trim().max(400).exactOptional(),
  }),
  decide: ({ step: id, symptom, cause, note }, asked) => {
    const step = readyStep(asked, id, 'place');
    if (!step.ok) return step;
    const { features } = asked.plan.valve;
    if (!priorsOf(symptom, features).has(cause))
      return refuse({
        code: 'input.conflict',
        fields: ['cause'],
        why: 'That does not give this symptom on this valve.',
      });
    const counts = asked.faultCounts(symptom);
    const { suspects } = findFault({ symptom, features, evidence: evidenceOn(asked.state, symptom), counts });
    const chance = suspects.find((each) => each.cause === cause)?.chance ?? 0;
    return ok([
      {
        kind: 'fault-placed',
        body: { step: refOf(step.value), symptom, cause, chance, ...(note ? { note } : {}) },
      },
    ]);
  },
});
