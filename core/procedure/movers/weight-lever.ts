import { phrase, quantity } from '../../quantity';
import type { WeightLever } from '../../valve';
import { lengthAsk } from '../blocks/asks';
import { BALANCED, PLACED, WEIGHED, weightPlaced } from '../blocks/dump-head';
import { taken } from '../blocks/taken';
import { feature, type Context, type Draft } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverProcedure } from './mover';
import { torqued } from '../blocks/torqued';

const RING_HERE = 'Sizes NPS 2 and 3 have an O-ring here.';
const GASKET_HERE = 'Sizes NPS 4 to 6 have a gasket here.';
const LEVER = feature('weight and lever on a shaft through a trunnion plug');

/** A weight and lever on a shaft: drip pot, lever, stuffing box and trunnion plug, off before the housing is opened. */
export const weightLever: MoverProcedure<WeightLever> = {
  settings: () => [lengthAsk('place of the weight on its lever', '9 in')],
  neverInKit: 'The drip pot and the removable seat are in no kit.',
  torques: () => ['trunnion plug'],
  steps: (c, { sizes }) => {
    const small = sizes === '2-3 in';
    return [...leverOff(c, small), ...leverOn(c, small), ...balanced(c)];
  },
};

function leverOff(c: Context, small: boolean): Draft[] {
  return sequence(c, strip(LEVER, ['marked'], 'lever off'), [
    {
      id: 'strip.drip-pot',
      title: 'Drip pot and needle valve off',
      why: 'Not in the kit, and always cleaned.',
      caution: 'It holds what the vessel held: into a tray.',
      off: ['drip pot', 'needle valve'],
      minutes: 5,
    },
    {
      id: 'strip.weight',
      title: 'Note where the weight stands; weight, lever, hub off',
      why: 'A scribe on the lever: the place balances the head. Hub set screw first; a tap with a mallet if it sticks.',
      tools: ['soft hammer', 'two spanners'],
      caution: 'Support the weight before its screw is loose.',
      off: ['weight', 'lever', 'hub set screw', 'lever hub'],
      minutes: 6,
    },
    {
      id: 'strip.stuffing-box',
      title: small
        ? 'Shaft nut; stuffing box with its packings, packing ring and O-ring; thrust washer'
        : 'Shaft nut, follower; stuffing box with its packings, packing ring and O-ring; thrust washer',
      why: small ? 'The small sizes have no follower.' : 'The larger sizes have a follower.',
      off: [
        'shaft nut',
        ...(small ? [] : (['packing follower'] as const)),
        'packing ring',
        'shaft packing',
        'stuffing box',
        'stuffing box O-ring',
        'shaft thrust washer',
      ],
      minutes: 8,
    },
    {
      id: 'strip.trunnion-plug',
      title: small
        ? 'Trunnion plug out with its O-ring, bushings'
        : 'Trunnion plug out with its gasket, bushings',
      why: small ? RING_HERE : GASKET_HERE,
      off: ['trunnion plug', small ? 'trunnion O-ring' : 'trunnion gasket', 'shaft bushings'],
      minutes: 6,
    },
    {
      id: 'strip.shaft',
      title: 'Shaft out',
      why: 'Straight? Roll it on a flat bench.',
      off: ['shaft'],
      minutes: 5,
    },
  ]);
}

function leverOn(c: Context, small: boolean): Draft[] {
  return sequence(c, rebuild(LEVER, ['closed']), [
    {
      id: 'rebuild.shaft',
      title: 'Shaft in, flat down on the long end, out of the side opposite the equalising port',
      why: 'Threads greased.',
      consumables: ['grease for the elastomer'],
      on: ['shaft'],
      minutes: 6,
    },
    {
      id: 'rebuild.trunnion-plug',
      title: small
        ? 'Bushings; trunnion plug with a new O-ring'
        : 'Bushings; trunnion plug with a new gasket',
      why: phrase`${small ? RING_HERE : GASKET_HERE} To ${quantity('torque', 25, 'lbf·ft')}.`,
      tools: ['torque wrench'],
      task: torqued(c, 'trunnion plug', quantity('torque', 25, 'lbf·ft')),
      on: ['shaft bushings', small ? 'trunnion O-ring' : 'trunnion gasket', 'trunnion plug'],
      minutes: 6,
    },
    {
      id: 'rebuild.stuffing-box',
      title: small
        ? 'Thrust washer; new O-ring on the small end of the stuffing box, box in; packings on their ring, pushed home by the bushing; nut hand-tight plus half a turn'
        : 'Thrust washer; new O-ring on the small end of the stuffing box, box in; packings on their ring, follower; nut hand-tight plus half a turn',
      why: 'Grease inside the box and on the shaft end. More than half a turn stops the shaft turning.',
      consumables: ['grease for the elastomer'],
      caution: 'Half a turn and no more.',
      on: [
        'shaft thrust washer',
        'stuffing box O-ring',
        'stuffing box',
        'shaft packing',
        'packing ring',
        ...(small ? [] : (['packing follower'] as const)),
        'shaft nut',
      ],
      minutes: 8,
    },
    {
      id: 'rebuild.weight',
      title: 'Hub with its channel outwards, set screw tight; lever, weight at its scribe',
      why: 'It is balanced on the set-up.',
      caution: 'Support the weight until its screw is tight.',
      tools: ['two spanners'],
      on: ['lever hub', 'hub set screw', 'lever', 'weight'],
      minutes: 6,
    },
    {
      id: 'rebuild.drip-pot',
      title:
        'Medium-strength threadlocker on the nipple; nipple and pot three to four full turns, pot down; needle valve on',
      why: 'Down, so that it fills and not the housing.',
      consumables: ['medium-strength anaerobic threadlocker'],
      on: ['drip pot', 'needle valve'],
      minutes: 5,
    },
  ]);
}

function balanced(c: Context): Draft[] {
  return sequence(c, setUp(LEVER, [], 'bench set'), [
    {
      id: 'setup.head',
      title: 'What the weight has to balance: the hydrostatic head and the lever',
      why: 'Head, area, arm, weight and the lever’s own moment: the place of the weight is computed from these, not guessed at the vessel.',
      parts: ['weight', 'lever'],
      tools: ['rule'],
      task: taken(...BALANCED),
      minutes: 6,
    },
    {
      id: WEIGHED,
      title: 'Weight to its place on the lever',
      why: phrase`Where head and lever balance, within ${PLACED}: further out it dumps later.`,
      caution: 'Hands clear of the lever: it falls when the vessel dumps.',
      parts: ['weight', 'lever'],
      tools: ['rule'],
      task: weightPlaced(c),
      minutes: 6,
    },
    {
      id: 'setup.lever',
      title: 'Lift the lever and let it fall',
      why: 'Free all the way: a shaft nut too tight holds it up.',
      parts: ['lever', 'shaft'],
      minutes: 3,
    },
  ]);
}
