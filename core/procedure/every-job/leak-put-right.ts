import { onStep, type LeakSource } from '../../job';
import { glandGap } from '../blocks/bolting';
import { pressureAsk } from '../blocks/asks';
import { CAUTIONS } from '../cautions';
import { draft, finding, type Context, type Draft } from '../draft';
import { stepName, type StepName } from '../relations';

/** What is done from outside about a leak that was found, before the test is run again. */
type Remedy = Pick<Draft, 'title' | 'why' | 'task' | 'tools' | 'minutes'> & Pick<Partial<Draft>, 'caution'>;

const NO_PRESSURE = {
  kind: 'measure',
  asks: [{ ...pressureAsk('rig, let down', '0 psig'), mustBe: 'zero' }],
} as const;

const REMEDIES: Partial<Record<LeakSource, Remedy>> = {
  gland: {
    title: 'Gland nipped up evenly, a flat at a time',
    why: 'Never over its figure: what does not stop by then is packed again. The gap the same on both sides.',
    tools: ['ring spanners'],
    task: glandGap,
    minutes: 5,
  },
  joint: {
    title: 'Rig let down to zero; the last pass of the joint once more',
    why: 'A joint is not tightened under pressure. Round and round at its last torque until no nut moves; if it leaks again, it is opened.',
    caution: CAUTIONS.zero,
    tools: ['torque wrench'],
    task: NO_PRESSURE,
    minutes: 10,
  },
  fitting: {
    title: 'Rig let down to zero; the plug or fitting out, its thread looked at, in again',
    why: 'New sealant on a clean thread; a thread that binds or rocks is not tightened into tightness.',
    caution: CAUTIONS.zero,
    tools: ['ring spanners'],
    task: NO_PRESSURE,
    minutes: 10,
  },
};

/** Leaks found on one test of this opening, each with how many times a leak was found on it before. */
const tracedOn = (c: Context, test: StepName) =>
  onStep(c.state, 'leak-traced', c.idOf(test)).map((entry, i) => ({ entry, round: i + 1 }));

const nameOf = (test: StepName, round: number): StepName =>
  stepName(`${test.base}.put-right`, undefined, round);

/** A step for each leak that was found and is put right from outside. */
export function putRight(c: Context, test: StepName): Draft[] {
  return tracedOn(c, test).flatMap(({ entry, round }) => {
    const remedy = REMEDIES[entry.body.to];
    if (!remedy) return [];
    return draft({
      ...remedy,
      name: nameOf(test, round),
      stage: 'test',
      ofTheJob: true,
      minutes: c.minutes(remedy.minutes),
      because: finding(`it leaked at the ${entry.body.to}`, entry.seq),
      after: ['set up', 'rebuilt'],
      provides: ['tests'],
    });
  });
}

/** What a test waits for: everything that was found to leak is put right first. */
export const putRightOf = (c: Context, test: StepName): StepName[] =>
  tracedOn(c, test).flatMap(({ entry, round }) => (REMEDIES[entry.body.to] ? [nameOf(test, round)] : []));

/** Both faces of a joint that was opened for its leak, before it is closed again. */
export function facesOfLeak(c: Context): Draft[] {
  if (c.opening.again?.only !== 'joint') return [];
  return [
    draft({
      name: stepName('rebuild.leak-faces'),
      ofTheJob: true,
      stage: 'rebuild',
      title: 'Both faces of the joint: dressed, flat, no line across them',
      why: 'A mark that runs from inside to outside is what leaked. One that a nail catches is not closed on: it goes back to the faces.',
      tools: ['rule', 'feeler gauges'],
      task: { kind: 'do', writes: ['what was found on the faces'] },
      minutes: c.minutes(8),
      because: c.opening.again.because,
      after: ['stripped', 'clean to close'],
      provides: ['rebuilt'],
    }),
  ];
}
