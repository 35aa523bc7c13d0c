import { z } from 'zod';
import { siteOf } from '../../calls';
import { didWork } from '../../job';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Closes the job: nothing is added to it afterwards. Not by who did the work, unless the site allows that. */
export const signCertificate = defineCommand({
  kind: 'sign-certificate',
  signed: true,
  body: z.strictObject({ step: z.string().max(80), nextDue: z.iso.date() }),
  decide: ({ step: id, nextDue }, asked) => {
    const { person, state, now } = asked;
    const step = readyStep(asked, id, 'sign');
    if (!step.ok) return step;
    if (siteOf(state).certificateBy === 'not who did the work' && didWork(state, person.id))
      return refuse({ code: 'certificate.own-work', person: person.name });
    if (nextDue <= now.slice(0, 10)) {
      return refuse({
        code: 'input.out-of-range',
        field: 'nextDue',
        value: nextDue,
        allowed: 'after today',
        why: 'it is the next overhaul',
      });
    }
    return ok([{ kind: 'certificate-signed', body: { step: refOf(step.value), nextDue } }]);
  },
});
