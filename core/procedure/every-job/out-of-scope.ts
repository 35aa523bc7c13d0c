import type { StandingCall } from '../../calls';
import { wordReason } from '../../inspection';
import { phrase } from '../../quantity';
import { closureOf, type PartRole } from '../../valve';
import { draft, fromCall, type Context, type Fragment } from '../draft';
import { ifThere, stepName } from '../relations';
import { lookOf } from './looks';

/** Repacked where it stands, a valve keeps whatever does not come off for that. */
export function reaches({ features, works }: Context, part: PartRole): boolean {
  const off = closureOf(features).repackedInPlace;
  return works(part) && (off === undefined || off.includes(part));
}

const WIDENED = ({ part, reason }: StandingCall) => ({
  title: `The ${part} is beyond this job: widen it, or say why it stays`,
  why: phrase`${wordReason(reason)}. Widened, the plan comes to it; left, it is on paper with the day by which it is looked at.`,
});

const OTHERWISE = ({ part, reason }: StandingCall) => ({
  title: `The ${part} does not come off for a repack: say how it goes on`,
  why: phrase`${wordReason(reason)}. The valve comes out for it, by the maker’s manual, or it stays until a day that is agreed: on paper either way.`,
});

/** A part that the job only comes past is found bad: the job is widened to it, or the reason is kept. */
export const outOfScope: Fragment = {
  name: 'out of scope',
  openings: 'first',
  compose: (c) =>
    [...c.calls.values()]
      .filter(({ part, verdict, because }) => verdict !== 'fit' && because.length > 0 && !reaches(c, part))
      .map((call) =>
        draft({
          name: stepName('inspect.beyond', call.part.replaceAll(' ', '-')),
          ofTheJob: true,
          stage: 'inspect',
          ...(c.works(call.part) ? OTHERWISE : WIDENED)(call),
          caution: 'What is left bad may not hold until it is next opened.',
          task: { kind: 'do', writes: 'why it stays, until when, and who agreed' },
          minutes: 5,
          because: fromCall(call),
          after: [ifThere(lookOf(call.part))],
          provides: ['inspected'],
        }),
      ),
};
