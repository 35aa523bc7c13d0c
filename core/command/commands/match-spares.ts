import { z } from 'zod';
import { laidSpare } from '../../valve';
import { ok, refuse } from '../../problem';
import { wrongKits } from '../../stock';
import { defineCommand, readyStep, refOf } from '../define-command';
import { NOT_KNOWN_HERE } from '../edge';

/** Lays spares and papers against the plate. A kit that is on file for another valve is refused; another mismatch is kept and holds the step: it is laid out again, rightly. */
export const matchSpares = defineCommand({
  kind: 'match-spares',
  body: z.strictObject({ step: z.string().max(80), laid: z.array(laidSpare).min(1).max(20) }),
  decide: ({ step: id, laid }, asked) => {
    const step = readyStep(asked, id, 'spares');
    if (!step.ok) return step;
    const kits = asked.kits();
    const wrong = kits === NOT_KNOWN_HERE ? [] : wrongKits(kits, asked.plan.valve, laid);
    if (wrong.length > 0) return refuse({ code: 'input.conflict', fields: ['laid'], why: wrong.join('; ') });
    return ok([{ kind: 'spares-matched', body: { step: refOf(step.value), laid } }]);
  },
});
