import type { Line } from '../../../isolation';
import { lineOf, onStep } from '../../../job';
import type { MeasureAsk } from '../../../task';
import { draft, feature, type Context, type Draft, type Fragment } from '../../draft';
import { stepName } from '../../relations';
import { isolatedOn, isolationOf, MOVES_IT } from './isolated';
import { guardsOf, INSTRUMENTS } from './steps';

const TRIAL = stepName('trial.lift');
const TRIAL_BACK = stepName('trial.back');

/**
 * What only its own supply can give is tried before the job is given back: locks lifted by their owners with everybody
 * clear, then back and proved again, each with two names.
 */
export const trial: Fragment = {
  name: 'trial',
  openings: 'last',
  of: ['sound'],
  compose: (c) => {
    const line = lineOf(c.state);
    const wants = line !== undefined && (line.power || line.signal === 'electric');
    if (c.place !== 'in line' || !wants || isolatedOn(c) === 'nothing') return [];
    const thread = {
      stage: 'set up',
      ofTheJob: true,
      because: feature('moved by power that is locked out'),
      provides: ['set up'],
    } as const;
    const lifted = onStep(c.state, 'step-done', c.idOf(TRIAL)).some(({ body }) => !body.notNeeded);
    return [
      draft({
        ...thread,
        name: TRIAL,
        title: 'Trial: locks lifted by their owners, people and tools clear',
        why: 'Said aloud first, answered by everybody. Only the locks that the trial needs come off, each by its owner; then it is tried.',
        caution: 'A hand that is not seen is a hand in the valve: count the people.',
        task: { kind: 'do', writes: 'who lifted which lock, and who saw everybody clear' },
        optional: 'only where it must be tried on its own supply before it is closed up for good',
        minutes: 10,
        after: ['rebuilt', 'gland set', 'bench set'],
      }),
      ...(lifted ? backAfterTrial(c, line) : []),
    ];
  },
};

function backAfterTrial(c: Context, line: Line): Draft[] {
  const thread = {
    stage: 'set up',
    ofTheJob: true,
    because: feature('locks were lifted for a trial'),
    provides: ['set up'],
  } as const;
  const asks = isolationOf(c, line).energies.flatMap(({ kind, proof }): MeasureAsk[] => {
    if (proof.kind !== 'reading' || !MOVES_IT.includes(kind)) return [];
    const { what, dimension, example, mustBe } = proof;
    return [{ what, dimension, example, mustBe, instrument: INSTRUMENTS[dimension] ?? 'gauge' }];
  });
  return [
    draft({
      ...thread,
      name: TRIAL_BACK,
      title: 'Every lock that was lifted back on',
      why: 'Before a hand goes in again, or the job goes on to be given back.',
      caution: 'By its owner, and tried.',
      task: { kind: 'do', writes: 'who put which lock back, and who looked' },
      minutes: 5,
      after: [TRIAL],
    }),
    draft({
      ...thread,
      name: stepName('trial.zero'),
      title: 'Zero proved again after the trial',
      why: 'What was tried may still be loaded: only the instrument is proof.',
      caution: guardsOf(c.valve) || 'Stand aside of what you open.',
      task: { kind: 'measure', asks },
      minutes: 5,
      after: [TRIAL_BACK],
    }),
  ];
}
