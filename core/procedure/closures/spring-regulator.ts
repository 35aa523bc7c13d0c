import { measuredLast } from '../../job';
import { capital, formatExactly, psig, seconds, valueIn } from '../../quantity';
import { REGULATOR_LIMITS } from '../../standards';
import type { MeasureTask, Regulated } from '../../task';
import type { SpringRegulator } from '../../valve';
import { regulatorLockUp } from '../../workings';
import { pressureAsk } from '../blocks/asks';
import { taken } from '../blocks/taken';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { stackApart, stackTogether } from '../blocks/diaphragm-stack';

const REGULATOR = feature('spring-loaded regulator, body screwed on its bottom cap');
const STACK = {
  id: 'diaphragm',
  diaphragm: 'diaphragm',
  plates: ['diaphragm plates'],
  held: ['lower plate'],
  told: 'part number of the diaphragm',
} as const;

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
      unloads: true,
      minutes: 4,
    },
    {
      id: 'strip.housing',
      title: 'Housing bolts, housing; spring seat and range spring out',
      why: 'Nothing pushes once the spring is let up.',
      caution: CAUTIONS.spring,
      off: ['housing bolts', 'housing', 'spring seat', 'range spring'],
      minutes: 6,
    },
    {
      id: 'strip.stem',
      title: 'Diaphragm assembly and stem out of the top as one',
      why: 'Stem, plates and diaphragm are one stack: unscrewed from the trim by hand, straight up.',
      caution: CAUTIONS.grip,
      off: ['stem'],
      minutes: 4,
    },
    stackApart(STACK, {
      title: 'Stem in soft jaws: lower plate off with its spanner, plates and diaphragm off the stem',
      why: 'High-strength wicking threadlocker holds them: a little heat lets go. Which way up the diaphragm lies is seen first.',
      tools: ['vice, soft jaws', 'plate spanner'],
    }),
    {
      id: 'strip.body',
      ...(c.place === 'in line' ? CAP_FROM_BELOW : CAP_IN_VICE),
      off: ['bottom cap'],
      minutes: 6,
    },
    {
      id: 'strip.trim',
      title: `${capital(closing)} and return spring out`,
      why: 'They stand in the cap.',
      off: [closing, 'return spring'],
      minutes: 4,
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
      why: 'Started by hand, then tightened. The bead is the seal: without it the regulator creeps at no flow.',
      caution: 'A small bead: what squeezes out goes on the seat.',
      tools: ['socket'],
      consumables: ['nickel anti-seize', 'thread sealant'],
      on: ['seat'],
      minutes: 6,
    },
    {
      id: 'rebuild.trim',
      title: `Return spring and ${closing} into the cap`,
      why: 'In their place before the body goes over them.',
      caution: 'The return spring must not bind.',
      on: ['return spring', closing],
      minutes: 4,
    },
    {
      id: 'rebuild.body',
      title: 'Anti-seize on the cap thread, a bead of sealant in its corner; body on until it bottoms',
      why: 'Without the bead the joint leaks to atmosphere. By hand; it is tapped tight at the end.',
      consumables: ['nickel anti-seize', 'thread sealant'],
      on: ['bottom cap'],
      minutes: 4,
    },
    stackTogether(STACK, {
      title:
        'Plates and diaphragm on the stem the right way up, lower plate on, a drop of threadlocker on the threads',
      why: 'In soft jaws, tightened by its spanner; the diaphragm as it lay.',
      tools: ['vice, soft jaws', 'plate spanner'],
      consumables: ['high-strength wicking anaerobic threadlocker'],
    }),
    {
      id: 'rebuild.stem',
      title: 'Diaphragm assembly in from the top, stem hand-tight in the trim till home',
      why: 'The trim moves with it, and the return spring brings it back.',
      caution: 'The return spring must not bind.',
      on: ['stem'],
      minutes: 4,
    },
    {
      id: 'rebuild.housing',
      title: 'Range spring and spring seat on the diaphragm, housing over them, bolts even',
      why: 'The spring goes in before its cover; crosswise, a little at a time.',
      on: ['range spring', 'spring seat', 'housing', 'housing bolts'],
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

const CAP_IN_VICE = {
  title: 'Bottom cap in the vice: tap the body loose from it and unscrew it',
  why: 'A soft hammer all round breaks the thread loose.',
  caution: 'Not with a pipe wrench on the body.',
  tools: ['soft hammer', 'vice, soft jaws'],
} as const;

/** With the body in its pipe the cap is turned, not the body. */
const CAP_FROM_BELOW = {
  title: 'Bottom cap: tap it loose and unscrew it from below, the body held with a second spanner',
  why: 'A soft hammer all round breaks the thread loose; the second spanner keeps the turn out of the pipe joints.',
  caution: 'Not with a pipe wrench on the body. A hand under the cap: gate and return spring stand in it.',
  tools: ['soft hammer', 'two spanners'],
} as const;

const [WANTED, FLOWING] = ['outlet pressure wanted', 'outlet pressure, flowing'];
const [SHUT, LATER] = ['outlet pressure, a minute after it is shut', 'outlet pressure, five minutes later'];

/** Within its tolerance of what is wanted, once that is known. */
function setFlowing(c: Context): MeasureTask {
  const wanted = measuredLast(c.state, WANTED, 'gauge pressure');
  if (!wanted) return taken(pressureAsk(FLOWING, '30 psig'));
  const worked = regulatorLockUp.work({ wanted, flowing: wanted });
  if (!worked.ok) return taken(pressureAsk(FLOWING, '30 psig'));
  const { lowest: from, highest: to } = worked.value.result;
  const ask = { ...pressureAsk(FLOWING, formatExactly(wanted)), mustBe: { from, to } };
  return {
    ...taken(ask),
    shown: worked.value,
    ...live(c, {
      wanted,
      outlet: 'flowing',
      reads: [{ what: FLOWING, after: seconds(SETTLED) }],
      screws: ['adjusting screw'],
    }),
  };
}

/** Shut, it rises a little and stands: at most so far after a minute, and no further after five more. */
function lockedUp(c: Context): MeasureTask {
  const [wanted, flowing, shut] = [
    measuredLast(c.state, WANTED, 'gauge pressure'),
    measuredLast(c.state, FLOWING, 'gauge pressure'),
    measuredLast(c.state, SHUT, 'gauge pressure'),
  ];
  const unknown = taken(pressureAsk(SHUT, '30.5 psig'), pressureAsk(LATER, '30.5 psig'));
  if (!wanted || !flowing) return unknown;
  const worked = regulatorLockUp.work({ wanted, flowing });
  if (!worked.ok) return unknown;
  const { most } = worked.value.result;
  const example = formatExactly(flowing);
  const creeps = psig(valueIn(shut ?? most, 'psig') + CREEP_SHOWS_PSI);
  return {
    ...taken(
      { ...pressureAsk(SHUT, example), mustBe: { from: psig(0), to: most } },
      { ...pressureAsk(LATER, example), mustBe: { from: psig(0), to: creeps } },
    ),
    shown: worked.value,
    ...live(c, {
      wanted,
      outlet: 'shut',
      reads: [
        { what: SHUT, after: seconds(60) },
        { what: LATER, after: seconds(360) },
      ],
      screws: [],
    }),
  };
}

/** Seconds for the outlet to come to rest at a steady flow. */
const SETTLED = 15;
/** On a rig it is read by itself; in its line by the gauge that is there. */
const live = ({ place }: Context, regulated: Omit<Regulated, 'kind'>): Pick<MeasureTask, 'live'> =>
  place === 'in line' ? {} : { live: { kind: 'regulated', ...regulated } };

/** What a test gauge shows of a creep. */
const CREEP_SHOWS_PSI = REGULATOR_LIMITS.creepShows / 6894.757;

function set(c: Context): Draft[] {
  return [
    ...sequence(c, setUp(REGULATOR, [], 'bench set'), [
      {
        id: 'setup.wanted',
        title: 'The pressure it is set to',
        why: 'By the plate or the owner, with the highest and lowest at its inlet: everything after is held against it.',
        task: taken(pressureAsk(WANTED, '30 psig')),
        minutes: 2,
      },
      {
        id: 'setup.pressure',
        title: 'Set by gauge, flowing',
        why: 'Screw in until the outlet stands at its pressure with a little steady flow: within 2 %.',
        caution: CAUTIONS.pressure,
        tools: ['test gauge'],
        parts: ['adjusting screw'],
        task: setFlowing(c),
        minutes: 8,
      },
    ]),
    ...sequence(c, proving(REGULATOR), [
      {
        id: 'test.lock-up',
        title: 'Lock-up: shut the outlet slowly and watch the gauge',
        why: 'It rises a little and stands. Creeping up at no flow is the seat, or dirt on it.',
        caution: CAUTIONS.pressure,
        task: lockedUp(c),
        minutes: 8,
      },
    ]),
  ];
}
