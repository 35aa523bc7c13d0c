import { wordReason } from '../../inspection';
import { phrase } from '../../quantity';
import { draft, fromCall, type Fragment } from '../draft';
import { ifThere, stepName } from '../relations';
import { lookOf } from './looks';

/** A part that the job only comes past is found bad: the job is widened to it, or the reason is kept. */
export const outOfScope: Fragment = {
  name: 'out of scope',
  openings: 'first',
  compose: (c) =>
    [...c.calls.values()]
      .filter(({ part, verdict, because }) => verdict !== 'fit' && because.length > 0 && !c.works(part))
      .map((call) =>
        draft({
          name: stepName('inspect.beyond', call.part.replaceAll(' ', '-')),
          ofTheJob: true,
          stage: 'inspect',
          title: `The ${call.part} is beyond this job: widen it, or say why it stays`,
          why: phrase`${wordReason(call.reason)}. Widened, the plan comes to it; left, it is on paper with the day by which it is looked at.`,
          caution: 'What is left bad may not hold until it is next opened.',
          task: { kind: 'do', writes: 'why it stays, until when, and who agreed' },
          minutes: 5,
          because: fromCall(call),
          after: [ifThere(lookOf(call.part))],
          provides: ['inspected'],
        }),
      ),
};
