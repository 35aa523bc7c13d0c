import { openingOf } from '../../job';
import { phrase, sayDay } from '../../quantity';
import { draft, rule, type Fragment } from '../draft';
import { stepName, type StepName } from '../relations';

/** The step that puts right what an earlier job left for now, by its place among them. */
export const putRightStep = (index: number): StepName => stepName('repair.left-for-now', String(index + 1));

/** What the jobs before have left as it was for the time being is put right on this one. */
export const leftForNow: Fragment = {
  name: 'left for now',
  openings: 'first',
  of: ['sound'],
  compose: ({ state }) =>
    (openingOf(state)?.body.carried?.temporary ?? []).map(({ what, recall, at }, index) =>
      draft({
        name: putRightStep(index),
        ofTheJob: true,
        stage: 'repair',
        title: `Put right what was left for now: ${what}`,
        why: phrase`Left on ${sayDay(at)}, to be put right by ${sayDay(recall)}.`,
        optional: 'only where this job reaches it; passed over, it stays to be recalled',
        task: { kind: 'do', writes: 'what was done' },
        minutes: 30,
        because: rule('left for now by an earlier job'),
        after: ['inspected'],
        provides: ['repaired'],
      }),
    ),
};
