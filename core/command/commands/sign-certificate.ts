import { z } from 'zod';
import { ok, refuse } from '../../problem';
import { defineCommand, readyStep, refOf } from '../define-command';

/** Closes the job: nothing is added to it afterwards. */
export const signCertificate = defineCommand({
  kind: 'sign-certificate',
  body: z.strictObject({ step: z.string().max(80), nextDue: z.iso.date() }),
  decide: ({ step: id, nextDue }, asked) => {
    const step = readyStep(asked, id, 'sign');
    if (!step.ok) return step;
    if (nextDue <= asked.now.slice(0, 10)) {
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
