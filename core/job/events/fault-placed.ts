import { z } from 'zod';
import { CAUSE_IDS, CAUSES, SYMPTOM_IDS, SYMPTOMS } from '../../diagnosis';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const faultPlaced = defineEvent({
  kind: 'fault-placed',
  body: z.strictObject({
    step: stepRef,
    symptom: z.enum(SYMPTOM_IDS),
    cause: z.enum(CAUSE_IDS),
    /** How likely the finder held it, 0 to 1. */
    chance: z.number().min(0).max(1),
    note: z.string().trim().min(1).max(400).exactOptional(),
  }),
  describe: ({ symptom, cause, chance, note }) =>
    [`${SYMPTOMS[symptom].name}: ${CAUSES[cause].name}`, `held at ${Math.round(chance * 100)} %`, note]
      .filter(Boolean)
      .join('; '),
});
