import { boltedJoint, type DiaphragmOnStem } from '../../valve';
import { lengthAsk } from '../blocks/asks';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverProcedure } from './mover';
import { boltUp } from '../blocks/bolting';
import { stackApart, stackTogether } from '../blocks/diaphragm-stack';

const HOUSING = feature('diaphragm in an oil-filled lower housing');
const STACK = {
  id: 'diaphragm',
  diaphragm: 'diaphragm',
  plates: ['diaphragm plates'],
  held: ['diaphragm nut'],
  told: 'bevel of the diaphragm',
} as const;

/** Air on both sides: it lies on top of the housing, under the bonnet. */
const UNDER_ITS_BONNET = {
  why: 'Plate in the vice, nut off; if the stem turns instead, the stem in soft jaws.',
  tools: ['vice, soft jaws'] as const,
};
const BEVEL_DOWN = {
  why: 'The bevel of the diaphragm down, the number of the plate towards the housing; a new nut.',
};

/** The oilfield low-pressure valve in its three variants: spring or none, adjusting screw or none, seat in or out. */
export const diaphragmOnStem: MoverProcedure<DiaphragmOnStem> = {
  settings: (moved) => (sprung(moved) ? [lengthAsk('height of the adjusting screw', '1 in')] : []),
  steps: (c, moved) => [...apart(c, moved), ...together(c, moved), ...proved(c, moved)],
};

const sprung = ({ variant }: DiaphragmOnStem) => variant !== 'double acting';

const COUNTED: Readonly<Record<number, string>> = { 4: 'Four', 6: 'Six', 8: 'Eight', 12: 'Twelve' };

/** Its bolts in words, where their number is known. */
function boltsIn({ features }: Context): string {
  const bolts = boltedJoint(features)?.bolts;
  return bolts === undefined ? 'All' : (COUNTED[bolts] ?? String(bolts));
}

function apart(c: Context, moved: DiaphragmOnStem): Draft[] {
  return sequence(c, strip(HOUSING, ['marked'], 'stem out'), [
    sprung(moved) && {
      id: 'strip.adjusting-screw',
      title: 'Back the adjusting screw right off',
      why: 'Before any bolt: it holds the spring down.',
      caution: CAUTIONS.spring,
      off: ['adjusting screw'],
      unloads: true,
      minutes: 4,
    },
    {
      id: 'strip.bonnet',
      title: 'Bonnet bolts, two opposing last; bonnet off',
      why: sprung(moved) ? 'Held down while the last two come out.' : 'No spring in this variant.',
      caution: sprung(moved) ? CAUTIONS.spring : CAUTIONS.slack,
      off: ['bonnet bolts', 'bonnet'],
      minutes: 8,
    },
    !sprung(moved) && stackApart(STACK, UNDER_ITS_BONNET),
    sprung(moved) && {
      id: 'strip.spring',
      title: moved.springPlate ? 'Spring and its plate out' : 'Spring out',
      why: 'Look for fractures.',
      off: moved.springPlate ? ['spring', 'spring plate'] : ['spring'],
      minutes: 3,
    },
    {
      id: 'strip.lower-housing',
      title: 'Push up on the seat to raise stem and diaphragm; lower housing off, tip out the oil',
      why: 'The oil is renewed: note how dirty it is.',
      caution: 'Into a tray: it is full of oil.',
      parts: ['stem', 'diaphragm'],
      off: ['lower housing'],
      minutes: 6,
    },
    {
      id: 'strip.gasket',
      title: 'Housing gasket off',
      why:
        'gasketOn' in c.features.joint && c.features.joint.gasketOn === 'body'
          ? 'It lies on the body: always new.'
          : 'It lies on the housing, or sticks to the body: always new.',
      off: ['housing gasket'],
      minutes: 3,
    },
    sprung(moved) && stackApart(STACK),
    {
      id: 'strip.ratio-plug',
      title:
        'Housing upside down, its nut in the vice: stem out; ratio plug, soft seat and seat disc off its end',
      why: 'The soft seat is renewed on the seat disc, which is kept, under the ratio plug, which is kept.',
      tools: ['vice, soft jaws', 'screwdriver'],
      off: ['stem', 'ratio plug', 'soft seat', 'seat disc'],
      minutes: 6,
    },
    {
      id: 'strip.stem-seals',
      title: 'Two backup rings and the O-ring out with a pick',
      why: 'A backup above and below the O-ring.',
      caution: 'A plastic pick: the bore is the seal.',
      tools: ['plastic pick'],
      off: ['backup rings', 'stem O-ring'],
      minutes: 5,
    },
  ]);
}

function together(c: Context, moved: DiaphragmOnStem): Draft[] {
  return sequence(c, rebuild(HOUSING, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.stem-seals',
      title:
        'First backup wound in clockwise, O-ring folded in, both pushed right down; second backup; grease',
      why: 'The backup is stretched like a spring and wound in; the first two right down leave room for the second backup.',
      caution: 'Not right down, the second backup is cut by the housing.',
      consumables: ['grease for the elastomer'],
      on: ['stem O-ring', 'backup rings'],
      minutes: 8,
    },
    {
      id: 'rebuild.soft-seat',
      title: 'New soft seat on its disc, under the ratio plug, hand-tight',
      why: 'The final turn is given once the stem holds it: until the seat has just spread to the walls of its disc.',
      on: ['seat disc', 'soft seat', 'ratio plug'],
      minutes: 6,
    },
    {
      id: 'rebuild.stem',
      title:
        'Stem in, stem guide over the threads; seat tight until it has just spread to the walls of its disc',
      why: 'The guide carries the seals past the thread. Spread to the walls is tight enough: more squeezes the seat over the edge.',
      caution: 'Without the guide the thread cuts the new O-ring. Over-tight, the soft seat bulges and cuts.',
      tools: ['stem guide'],
      on: ['stem'],
      minutes: 4,
    },
    sprung(moved) && stackTogether(STACK, BEVEL_DOWN),
    {
      id: 'rebuild.gasket',
      title: 'New housing gasket, greased both sides',
      why: 'So that it comes off next time and does not tear now.',
      consumables: ['grease for the elastomer'],
      on: ['housing gasket'],
      minutes: 3,
    },
    {
      id: 'rebuild.lower-housing',
      title: 'Lower housing on; oil to cover the communication hole',
      why: 'The oil keeps water and sand off the stem.',
      caution: 'Do not tilt it after: the oil runs out through the hole.',
      consumables: ['housing oil'],
      on: ['lower housing'],
      minutes: 6,
    },
    !sprung(moved) && stackTogether(STACK, BEVEL_DOWN),
    {
      id: 'rebuild.bonnet',
      title: sprung(moved)
        ? moved.springPlate
          ? 'Plate greased, spring on it, bonnet on, marks meeting'
          : 'Spring, bonnet on, marks meeting: press down to start the bolts'
        : 'Bonnet on, marks meeting',
      why: 'Marks down bonnet, housing and body in one line, tubing ports where they were.',
      ...(moved.springPlate ? { consumables: ['grease for the elastomer'] } : {}),
      caution: sprung(moved)
        ? CAUTIONS.clampedSpring
        : 'A bonnet turned one hole puts the tubing on the wrong side.',
      on: [
        ...(sprung(moved) ? (['spring'] as const) : []),
        ...(moved.springPlate ? (['spring plate'] as const) : []),
        'bonnet',
      ],
      minutes: 8,
    },
    {
      id: 'rebuild.bolt-up',
      title: `${boltsIn(c)} bolts, star pattern`,
      why: 'All started by hand first; the metal tag goes back under its bolt.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['bonnet bolts'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 10,
    },
    sprung(moved) && {
      id: 'rebuild.adjusting-screw',
      title: 'Adjusting screw in until it just feels the spring',
      why: 'It is set by its stroke, on air.',
      on: ['adjusting screw'],
      minutes: 3,
    },
  ]);
}

function proved(c: Context, moved: DiaphragmOnStem): Draft[] {
  return [
    ...sequence(c, setUp(HOUSING, [], ...(sprung(moved) ? (['bench set'] as const) : [])), [
      {
        id: 'setup.stroke',
        benchAir: true,
        title:
          moved.variant === 'single acting'
            ? 'Stroke on supply air: it opens by air, shuts by its spring'
            : moved.variant === 'double acting'
              ? 'Stroke on supply air, above and below'
              : 'Stroke on supply air; set the spring by the adjusting screw',
        why: 'Full travel, no hang, no air at the stem or the vent.',
        caution: CAUTIONS.air,
        parts: ['stem'],
        minutes: 6,
      },
      moved.variant === 'single acting' && {
        id: 'setup.spring',
        benchAir: true,
        title: 'Adjusting screw until the spring shuts it firmly and the supply still opens it fully',
        why: 'Near its height as found; the height as left is taken after it.',
        caution: CAUTIONS.air,
        parts: ['adjusting screw'],
        minutes: 5,
      },
    ]),
    ...sequence(c, proving(HOUSING), [
      {
        id: 'test.function',
        title: 'Seat, stem seal and diaphragm: soap on each under air',
        why: 'Soft seated: no bubble at the seat for a minute; none at the communication hole, none at the vent.',
        caution: CAUTIONS.pressure,
        consumables: ['leak-detecting soap'],
        parts: ['soft seat', 'diaphragm', 'stem O-ring'],
        minutes: 8,
      },
    ]),
  ];
}
