import { z } from 'zod';
import { ROUNDS, waysOf } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Which way round a part stands: as it came, or as it goes back. */
export const seeWayRound = defineCommand({
  kind: 'see-way-round',
  body: z.strictObject({ step: z.string().max(80), what: z.enum(ROUNDS), way: z.string().max(60) }),
  decide: ({ step: id, what, way }, asked) => {
    const step = readyStep(asked, id, 'way-round');
    if (!step.ok) return step;
    const { rounds } = step.value.task;
    const known = rounds.some((ask) => ask.what === what);
    const wants = known ? waysOf(what) : rounds.map((ask) => ask.what);
    if (!known || !waysOf(what).includes(way))
      return refuse({ code: 'step.wants', step: step.value.title, wants: wants.join(', ') });
    return ok([{ kind: 'way-round-seen', body: { step: refOf(step.value), what, way } }]);
  },
});
