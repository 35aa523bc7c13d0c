import type { StandingCall } from '../../calls';
import { wordReason } from '../../inspection';
import { onStep } from '../../job';
import { capital, phrase } from '../../quantity';
import { partsOf, type Part } from '../../valve';
import { slug } from '../blocks/arrival';
import { draft, finding, fromCall, type Context, type Draft, type Fragment } from '../draft';
import { stepName, type StepName } from '../relations';
import { lookAt } from './looks';
import { isBlued } from './seat-work/contacts';

/** Rework ends in a look, a blue or a figure: what no blue line proves is looked at again, until nothing is found. */
export const lookedAtAgain: Fragment = {
  name: 'looked at again',
  openings: 'first',
  compose: (c) =>
    partsOf(c.valve).flatMap((part): Draft[] => {
      const call = c.calls.get(part.role);
      return call?.verdict === 'rework' &&
        call.because.length > 0 &&
        !isBlued(c, part.role) &&
        !TURNED.includes(call.method ?? '')
        ? rounds(c, part, call)
        : [];
    }),
};

/** Turned on to its other face, a part is seen the right way round when it goes back. */
const TURNED: readonly string[] = ['turn over', 'turn end for end'];

const lookOf = ({ role }: Part, round: number): StepName =>
  stepName('repair.look', slug(role), round === 1 ? undefined : round);
const againOf = ({ role }: Part, round: number): StepName =>
  stepName('repair.again', slug(role), round === 1 ? undefined : round);

function rounds(c: Context, part: Part, call: StandingCall): Draft[] {
  const look = lookAt(part, c.features);
  if (!look) return [];
  const drafts: Draft[] = [];
  for (let round = 1; ; round++) {
    const name = lookOf(part, round);
    drafts.push(
      draft({
        ...look,
        name,
        stage: 'repair',
        title: `${look.title}: looked at again`,
        why: phrase`After the work: ${wordReason(call.reason)}. Gone, or once more.`,
        minutes: 3,
        because: fromCall(call),
        after: round === 1 ? ['repaired'] : [againOf(part, round - 1)],
        provides: ['looked at again'],
      }),
    );
    const seen = onStep(c.state, 'finding-made', c.idOf(name)).at(-1);
    if (!seen || seen.body.finding.kind === 'sound') return drafts;
    drafts.push(
      draft({
        name: againOf(part, round),
        stage: 'repair',
        title: `${capital(part.name)} once more: ${call.method ?? 'rework'}`,
        why: 'It was not gone when it was looked at again.',
        parts: [part.role],
        minutes: 15,
        because: finding('still seen after the work', seen.seq),
        after: [name],
        provides: ['looked at again'],
      }),
    );
  }
}
