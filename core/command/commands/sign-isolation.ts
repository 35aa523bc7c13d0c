import { z } from 'zod';
import type { Entry, PersonId } from '../../job';
import { SIGNING_SIDES } from '../../job/events/isolation-signed';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

const LOCKS: readonly Entry['kind'][] = ['lock-hung', 'lock-removed'];

/**
 * Two people sign an isolation, and its taking off: one who did it, and one who checked it and had no hand in a lock or
 * a zero. Nobody signs both, whatever their role.
 */
export const signIsolation = defineCommand({
  kind: 'sign-isolation',
  signed: true,
  body: z.strictObject({ step: z.string().max(80), side: z.enum(SIGNING_SIDES) }),
  decide: ({ step: id, side }, asked) => {
    const step = readyStep(asked, id, 'sign-off');
    if (!step.ok) return step;
    const { person } = asked;
    const { signed = [], covers = [] } = step.value.signing ?? {};
    if (signed.some(({ body }) => body.side === side))
      return refuse({ code: 'step.already-done', step: `${step.value.title}: ${side}` });
    if (signed.some(({ by }) => by.id === person.id))
      return refuse({ code: 'isolation.both-sides', person: person.name });
    if (side === 'done' && !covers.some(({ by }) => by.id === person.id))
      return refuse({ code: 'isolation.not-done-by', person: person.name });
    const own = side === 'checked' && covers.find((entry) => isOwnHand(entry, person.id));
    if (own)
      return refuse({
        code: 'isolation.own-hand',
        person: person.name,
        what: LOCKS.includes(own.kind) ? 'lock' : 'zero',
      });
    return ok([{ kind: 'isolation-signed', body: { step: refOf(step.value), side } }]);
  },
});

const isOwnHand = ({ kind, by }: Entry, person: PersonId): boolean =>
  by.id === person && (LOCKS.includes(kind) || kind === 'measured');
