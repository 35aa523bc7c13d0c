import type { SpringRegulator } from '../../valve';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { stackApart, stackTogether } from '../blocks/diaphragm-stack';

const REGULATOR = feature('spring-loaded regulator, body screwed on its bottom cap');
const STACK = { id: 'diaphragm', diaphragm: 'diaphragm', plates: ['diaphragm plates'], held: [] } as const;

/** A self-acting regulator: range spring off first, housing and diaphragm, body unscrewed from its cap. */
export const springRegulator: ClosureProcedure<SpringRegulator> = {
  seatsGoInAtRebuild: true,
  steps: (c, { trim }) => {
    const closing = trim === 'plug' ? 'regulator plug' : 'sliding gate';
    return [...apart(c, closing), ...together(c, closing), ...set(c)];
  },
};

type Closing = 'regulator plug' | 'sliding gate';

function apart(c: Context, closing: Closing): Draft[] {
  return sequence(c, strip(REGULATOR, ['marked'], 'stem out'), [
    {
      id: 'strip.range-spring',
      title: 'Range spring let up: adjusting screw right out',
      why: 'First of all, before any bolt.',
      caution: CAUTIONS.spring,
      off: ['adjusting screw'],
      minutes: 4,
    },
    {
      id: 'strip.housing',
      title: 'Housing bolts, housing; range spring out',
      why: 'Nothing pushes once the spring is let up.',
      caution: CAUTIONS.spring,
      off: ['housing bolts', 'housing', 'range spring'],
      minutes: 6,
    },
    stackApart(STACK),
    {
      id: 'strip.body',
      title: 'Tap the body loose from the bottom cap and unscrew it',
      why: 'A soft hammer all round breaks the thread loose.',
      caution: 'Not with a pipe wrench on the body.',
      tools: ['soft hammer'],
      off: ['bottom cap'],
      minutes: 6,
    },
    {
      id: 'strip.trim',
      title: `Stem, lower plate, ${closing} and return spring out`,
      why: 'High-strength wicking threadlocker holds them: a little heat lets go.',
      off: ['lower plate', 'stem', closing, 'return spring'],
      minutes: 8,
    },
    {
      id: 'strip.seat',
      title: 'Seat out with a socket',
      why: 'Clean the old sealant out of the corner under its thread.',
      tools: ['socket'],
      off: ['seat'],
      minutes: 5,
    },
  ]);
}

function together(c: Context, closing: Closing): Draft[] {
  return sequence(c, rebuild(REGULATOR, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.seat',
      title: 'Seat in: anti-seize on the threads, a small bead of sealant in the corner under the thread',
      why: 'The bead is the seal: without it the regulator creeps at no flow.',
      caution: 'A small bead: what squeezes out goes on the seat.',
      tools: ['socket'],
      consumables: ['nickel anti-seize', 'thread sealant'],
      on: ['seat'],
      minutes: 6,
    },
    {
      id: 'rebuild.trim',
      title: `Return spring, ${closing}, stem and lower plate: a drop of high-strength wicking threadlocker on the threads`,
      why: 'Tightened by spanner; the stem only hand-tight till home.',
      caution: 'The return spring must not bind.',
      consumables: ['high-strength wicking anaerobic threadlocker'],
      on: ['return spring', closing, 'stem', 'lower plate'],
      minutes: 8,
    },
    {
      id: 'rebuild.body',
      title: 'Anti-seize on the cap thread, a bead of sealant in its corner; body on until it bottoms',
      why: 'Without the bead the joint leaks to atmosphere. By hand; it is tapped tight at the end.',
      consumables: ['nickel anti-seize', 'thread sealant'],
      on: ['bottom cap'],
      minutes: 4,
    },
    stackTogether(STACK),
    {
      id: 'rebuild.housing',
      title: 'Range spring on the diaphragm, housing over it, bolts even',
      why: 'The spring goes in before its cover; crosswise, a little at a time.',
      on: ['range spring', 'housing', 'housing bolts'],
      minutes: 6,
    },
    {
      id: 'rebuild.range-spring',
      title: 'Adjusting screw until it just feels the spring; tap the body, tighten; back off',
      why: 'The spring steadies the stack while the body is tightened.',
      on: ['adjusting screw'],
      minutes: 5,
    },
  ]);
}

function set(c: Context): Draft[] {
  return [
    ...sequence(c, setUp(REGULATOR), [
      {
        id: 'setup.pressure',
        title: 'Set by gauge, flowing',
        why: 'Screw in until the outlet stands at its pressure with a little flow.',
        caution: CAUTIONS.pressure,
        tools: ['test gauge'],
        parts: ['adjusting screw'],
        task: {
          kind: 'measure',
          asks: [
            {
              what: 'outlet pressure, flowing',
              dimension: 'gauge pressure',
              example: '30 psig',
              instrument: 'gauge',
            },
          ],
        },
        minutes: 8,
      },
    ]),
    ...sequence(c, proving(REGULATOR), [
      {
        id: 'test.lock-up',
        title: 'Lock-up: shut the outlet and watch the gauge',
        why: 'It rises a little and stands. Creeping up at no flow is the seat, or dirt on it.',
        caution: CAUTIONS.pressure,
        task: {
          kind: 'measure',
          asks: [
            {
              what: 'outlet pressure, no flow',
              dimension: 'gauge pressure',
              example: '32 psig',
              instrument: 'gauge',
            },
          ],
        },
        minutes: 8,
      },
    ]),
  ];
}
