import { z } from 'zod';
import { placeOf, SCOPE_WORDS, scopeOf, SCOPES } from '../../job';
import { ok, refuse, type Result } from '../../problem';
import { reachedOutOfLine, scopesOf } from '../../procedure';
import { defineCommand } from '../define-command';

/** The job is cut to what it is for, or widened by what was found. */
export const changeScope = defineCommand({
  kind: 'change-scope',
  body: z.strictObject({ scope: z.enum(SCOPES), reason: z.string().trim().min(3).max(400) }),
  decide: ({ scope, reason }, { state, plan }) => {
    const no = (why: string): Result<never> => refuse({ code: 'input.conflict', fields: ['scope'], why });
    if (scope === scopeOf(state)) return no(`It is so already: ${SCOPE_WORDS[scope]}.`);
    if (!scopesOf(plan.valve.features).includes(scope))
      return no(`Nothing of this valve is done by itself as: ${SCOPE_WORDS[scope]}.`);
    const why = placeOf(state) === 'in line' && reachedOutOfLine(plan.valve.features, scope);
    if (why) return no(`Say first that it goes out to the shop and back: ${why}.`);
    return ok([{ kind: 'scope-changed', body: { scope, reason } }]);
  },
});
