import { z } from 'zod';
import { PLACE_WORDS, placeOf, PLACES } from '../../job';
import { reachedOutOfLine } from '../../procedure';
import { ok, refuse, type Result } from '../../problem';
import { defineCommand } from '../define-command';

/** Work goes on elsewhere than was said at first: out of the line after all, or left in it. */
export const changePlace = defineCommand({
  kind: 'change-place',
  body: z.strictObject({ place: z.enum(PLACES), reason: z.string().trim().min(3).max(400) }),
  decide: ({ place, reason }, { state, plan }) => {
    const now = placeOf(state);
    const no = (why: string): Result<never> => refuse({ code: 'input.conflict', fields: ['place'], why });
    if (place === now) return no(`It is so already: ${PLACE_WORDS[now]}.`);
    if (now === 'bare' || place === 'bare')
      return no('A valve that came in bare was never in a line here; one that is in a line is not bare.');
    const isOut = plan.steps.some(({ id, status }) => id === 'lift.out' && status === 'done');
    if (isOut) return no('It has been lifted out: it goes back the way it came.');
    const why = place === 'in line' && reachedOutOfLine(plan.valve.features, plan.scope);
    if (why) return no(`For this job it leaves its line: ${why}.`);
    return ok([{ kind: 'place-changed', body: { place, reason } }]);
  },
});
