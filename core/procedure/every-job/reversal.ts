import { capital, phrase } from '../../quantity';
import { resulting, reversible, type Reversible } from '../../valve';
import { CAUTIONS } from '../cautions';
import { draft, rule, type Context, type Draft, type Fragment } from '../draft';
import { stepName } from '../relations';

const because = rule('its fail action is reversed on this job');

/** A fail action is changed on somebody's word only, tried, and carried over to plate, tag and record. */
export const reversal: Fragment = {
  name: 'reversal',
  openings: 'first',
  of: ['sound'],
  when: (features) => reversible(features) !== undefined,
  compose: (c) => {
    const moved = reversible(c.features);
    return moved?.reversing ? steps(c, moved) : [];
  },
};

const WORDS: Readonly<Record<Reversible['action'], string>> = {
  'air-to-open': 'shut on loss of air',
  'air-to-close': 'open on loss of air',
};

function steps(c: Context, moved: Reversible): Draft[] {
  const after = resulting(moved);
  return [
    draft({
      name: stepName('diagnose.reversal'),
      ofTheJob: true,
      stage: 'diagnose',
      title: `Who wants it to stand ${WORDS[after]}, and what must it do on loss of signal?`,
      why: phrase`Now it stands ${WORDS[moved.action]}. Loss of air and loss of signal may ask for different things. Where the trim depends on it, flow must tend to do what the failure should.`,
      caution: 'What a valve does when it fails is a decision of the process, never of the bench.',
      task: { kind: 'do', writes: 'who authorised it, and what it does on loss of signal' },
      minutes: 10,
      because,
      after: ['received'],
      provides: ['diagnosed', 'traced'],
    }),
    draft({
      name: stepName('setup.fail-action'),
      stage: 'set up',
      title: `Air off: does it go to ${WORDS[after].replace(' on loss of air', '')}? Signal off: where it must?`,
      why: 'Positioner, converter, solenoid, booster and lock-up each act a way of their own: all of them the right way now.',
      caution: CAUTIONS.air,
      parts: (['actuator', 'positioner', 'travel indicator', 'indicator plate'] as const).filter(c.has),
      benchAir: true,
      minutes: 10,
      because,
      after: ['rebuilt', 'bench set', 'gland set'],
      provides: ['set up'],
    }),
    draft({
      name: stepName('release.fail-action'),
      ofTheJob: true,
      stage: 'release',
      title: `${capital(after)} on plate, tag and drawing`,
      why: 'Whoever isolates it next believes its plate. The record of the valve follows when the certificate is signed.',
      task: { kind: 'do', writes: 'who was told' },
      minutes: 10,
      because,
      after: ['set up', 'rebuilt'],
      provides: ['tested'],
    }),
  ];
}
