import { LOWER_GUIDE, RINGS, UPPER_GUIDE } from '../../inspection';
import { opensByAir } from '../../valve';
import { fitAsks, lengthAsk } from '../blocks/asks';
import { measured } from '../blocks/measured';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { stepName } from '../relations';
import { rebuild, sequence, strip, type Sketch } from '../sequence';
import type { ClosureProcedure } from './closure';
import { boltUp, jointGap } from '../blocks/bolting';

const DOUBLE = feature('double-seated plug, guided top and bottom');

/** A plug on two seats between two guides. Air-to-open comes apart from below, air-to-close from above. */
export const doublePlug: ClosureProcedure = {
  proof: { by: 'class' },
  leavesFromBelow: opensByAir,
  steps: (c) => [...(opensByAir(c.features) ? fromBelow(c) : fromAbove(c)), ...sized(c), ...together(c)],
};

const sized = (c: Context): Draft[] => [
  ...measured(c, {
    id: 'inspect.guides',
    title: 'Plug in its guides: clearance',
    why: 'A slack guide lets the plug hum and wears seats to one side.',
    tools: ['outside micrometer', 'inside micrometer'],
    parts: ['plug', 'upper guide', 'lower guide'],
    asks: [
      ...fitAsks(UPPER_GUIDE, { shaft: '1.249 in', bore: '1.253 in' }),
      ...fitAsks(LOWER_GUIDE, { shaft: '1.249 in', bore: '1.253 in' }),
    ],
  }),
  ...measured(c, {
    id: 'inspect.seat-rings',
    title: 'Seat rings: which is the larger',
    why: 'Where they stand: one is slightly larger so that the plug passes, and stands next to the opening that it comes out of. Big and small are never swapped.',
    tools: ['caliper'],
    parts: ['upper seat ring', 'lower seat ring'],
    asks: opensByAir(c.features)
      ? [lengthAsk(RINGS.upper, '4 in'), lengthAsk(RINGS.lower, '4.06 in')]
      : [lengthAsk(RINGS.upper, '4.06 in'), lengthAsk(RINGS.lower, '4 in')],
  }),
];

const PLUG_OUT = stepName('strip.plug');

const blindHead: Sketch = {
  id: 'strip.blind-head',
  title: 'Blind head nuts off, blind head and its gasket off',
  why: 'Look at the drain hole: blocked with sand or scale, the plug could not travel.',
  caution: CAUTIONS.slack,
  off: ['blind head studs', 'blind head', 'blind head gasket', 'lower guide'],
  minutes: 12,
};

/** Air-to-close: the spring holds it open; the bonnet comes off and the plug with it. */
function fromAbove(c: Context): Draft[] {
  return sequence(c, strip(DOUBLE, ['bonnet off'], 'stem out'), [
    {
      id: 'strip.plug',
      title: 'Plug and stem up and out; upper guide off',
      why: 'Straight up between the seats.',
      caution: CAUTIONS.grip,
      off: ['plug', 'stem', 'upper guide'],
      minutes: 8,
    },
    blindHead,
  ]);
}

/** Air-to-open: the spring holds it shut; the blind head first, and the plug comes out downwards. */
function fromBelow(c: Context): Draft[] {
  return [
    ...sequence(c, strip(DOUBLE, ['marked'], 'blind head off', 'stem out'), [
      { ...blindHead, title: 'Blind head first: nuts, blind head and its gasket off' },
      {
        id: 'strip.gland-slack',
        title: 'Gland nuts slack',
        why: 'The packing lets go of the stem before it is turned.',
        parts: ['gland nuts'],
        minutes: 3,
      },
      {
        id: 'strip.uncouple',
        benchAir: true,
        title: 'Air lifts the plug off its seats; lock nuts loose, plug unscrewed from the actuator stem',
        why: 'Its spring holds it shut: turned so, it scores both seats. Lock nuts and indicator off as the stem comes through.',
        caution: `${CAUTIONS.grip} ${CAUTIONS.plugSeated}`,
        off: (['coupler nut', 'split coupler', 'stem lock nuts', 'travel indicator'] as const).filter(c.has),
        minutes: 10,
      },
      {
        id: PLUG_OUT,
        title: 'Plug and stem out downwards',
        why: 'Between the seats, through the bottom flange.',
        caution: 'Catch it: it drops when the thread lets go.',
        off: ['plug', 'stem'],
        minutes: 8,
      },
    ]),
    ...sequence(c, strip(DOUBLE, ['bonnet off', PLUG_OUT]), [
      {
        id: 'strip.upper-guide',
        title: 'Upper guide out of the bonnet',
        why: 'Scored or galled it is renewed.',
        off: ['upper guide'],
        minutes: 4,
      },
    ]),
  ];
}

function together(c: Context): Draft[] {
  const below = opensByAir(c.features);
  const head: readonly Sketch[] = [
    {
      id: 'rebuild.blind-head',
      title: 'Lower guide; new gasket; blind head on, drain hole clear',
      why: 'The hole keeps the guide free of sand.',
      on: ['lower guide', 'blind head gasket', 'blind head'],
      minutes: 10,
    },
    {
      id: 'rebuild.blind-head-bolts',
      title: 'Bolt up the blind head',
      why: 'Crosswise and in passes, as the bonnet.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['blind head studs'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 20,
    },
    { id: 'rebuild.blind-head-gap', ...jointGap('blind head'), parts: ['blind head'] },
  ];
  if (!below) {
    return sequence(c, rebuild(DOUBLE, ['stem repaired'], 'trim in'), [
      ...head,
      {
        id: 'rebuild.plug',
        title: 'Upper guide; plug and stem in from above',
        why: 'Straight down through both seats.',
        caution: CAUTIONS.plugSeated,
        on: ['upper guide', 'plug', 'stem'],
        minutes: 8,
      },
    ]);
  }
  return [
    ...sequence(c, rebuild(DOUBLE, ['stem repaired'], 'trim in'), [
      {
        id: 'rebuild.upper-guide',
        title: 'Upper guide into the bonnet',
        why: 'Home against its shoulder.',
        on: ['upper guide'],
        minutes: 4,
      },
    ]),
    ...sequence(c, rebuild(DOUBLE, ['closed'], 'plug in'), [
      {
        id: 'rebuild.plug',
        title: 'Plug and stem up from below, through both seats',
        why: 'Stem up through the box before it is packed.',
        caution: CAUTIONS.plugSeated,
        on: ['plug', 'stem'],
        minutes: 8,
      },
      ...head,
    ]),
  ];
}
