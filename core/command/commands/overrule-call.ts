import { z } from 'zod';
import { isSafetyPart, methodSchema, partRoleSchema, verdictSchema } from '../../inspection';
import { ok, refuse } from '../../problem';
import { defineCommand, mayOnly } from '../define-command';

/**
 * A person knows better than the rule, and says why. To clear an ask or a safety part takes a lead or an inspector; on a
 * safety part both, unless the site's rules are content with one.
 */
export const overruleCall = defineCommand({
  kind: 'overrule-call',
  body: z.strictObject({
    part: partRoleSchema,
    verdict: verdictSchema,
    method: methodSchema.exactOptional(),
    reason: z.string().trim().min(3).max(400),
  }),
  decide: (body, asked) => {
    const standing = asked.plan.calls.get(body.part);
    if (!standing) return refuse({ code: 'call.none', part: body.part });
    if (standing.verdict === 'ask' || standing.verdict === 'condemn' || isSafetyPart(body.part)) {
      const allowed = mayOnly(asked, 'lead', 'inspector');
      if (!allowed.ok) return allowed;
    }
    return ok([{ kind: 'call-overruled', body }]);
  },
});
