import { quantity } from '../../quantity';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft, type Fragment } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import { boltUpTo } from './bolting';

const LEVER = feature('weight and lever on a shaft through a trunnion plug');
const PILOT = feature('diaphragm housing over a reversible seat');

/** A level valve moved by a weight: lever and shaft, link, bonnet, diaphragm housing, drip pot. */
export const weightLever: Fragment = {
  name: 'weight and lever',
  openings: 'every',
  when: ({ closure }) => closure.kind === 'dump-disc',
  compose: (c) => {
    const { moved } = c.features;
    if (moved.kind !== 'weight-lever' || (c.condemned && c.opening.number > 1)) return [];
    const small = moved.sizes === '2-3 in';
    return [
      ...leverOff(c, small),
      ...housingOff(c),
      ...(c.condemned ? [] : [...housingOn(c), ...leverOn(c, small), ...balanced(c)]),
    ];
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
      why: 'A scribe on the lever: the place balances the head.',
      caution: 'Support the weight before its screw is loose.',
      off: ['weight', 'lever', 'lever hub'],
      minutes: 6,
    },
    {
      id: 'strip.stuffing-box',
      title: small
        ? 'Shaft nut, stuffing box with its packing ring, thrust washer'
        : 'Shaft nut, follower, packing ring, stuffing box, thrust washer',
      why: small ? '' : 'The larger sizes have a follower.',
      off: [
        'shaft nut',
        ...(small ? [] : (['packing follower'] as const)),
        'packing ring',
        'stuffing box',
        'shaft thrust washer',
      ],
      minutes: 8,
    },
    {
      id: 'strip.trunnion-plug',
      title: small
        ? 'Trunnion plug out with its O-ring, bushings'
        : 'Trunnion plug out with its gasket, bushings',
      why: small ? '2 and 3 in sizes have an O-ring here.' : '4 to 6 in sizes have a gasket here.',
      off: ['trunnion plug', small ? 'trunnion O-ring' : 'trunnion gasket', 'shaft bushings'],
      minutes: 6,
    },
    {
      id: 'strip.shaft',
      title: 'Shaft out, its O-rings off',
      why: 'Straight? Roll it on a flat bench.',
      off: ['shaft', 'shaft O-rings'],
      minutes: 5,
    },
  ]).map((each) => (each.why ? each : { ...each, why: 'The small sizes have no follower.' }));
}

function housingOff(c: Context): Draft[] {
  return sequence(c, strip(PILOT, ['lever off'], 'trim out'), [
    {
      id: 'strip.bonnet',
      title: 'Bonnet bolts, two opposing last; bonnet and gasket off',
      why: 'Two opposing hold it if anything is still pushing.',
      caution: CAUTIONS.slack,
      off: ['bonnet bolts', 'bonnet', 'bonnet gasket'],
      minutes: 10,
    },
    {
      id: 'strip.link',
      title: 'Snap rings, link pin, trunnion hub off',
      why: 'Hub: note which side faces the inlet.',
      off: ['snap rings', 'link pin', 'trunnion hub'],
      minutes: 5,
    },
    {
      id: 'strip.diaphragm-bolt',
      title: 'Diaphragm bolt, retainer, upper diaphragm',
      why: 'The upper diaphragm is renewed with its kit.',
      off: ['diaphragm bolt', 'diaphragm retainer', 'upper diaphragm'],
      tools: ['crow-foot'],
      minutes: 6,
    },
    {
      id: 'strip.housing',
      title: 'Housing bolts, housing off by its lifting rings',
      why: 'Straight up off the stem.',
      caution: CAUTIONS.lift,
      off: ['housing bolts', 'lifting rings', 'housing'],
      minutes: 10,
    },
    {
      id: 'strip.stem-pin',
      title: 'Stem pin out, stem off',
      why: 'It joins stem and diaphragm assembly.',
      off: ['stem pin', 'stem'],
      minutes: 4,
    },
    {
      id: 'strip.diaphragm',
      title: 'Pivot out; plate, diaphragm, ratio plug, reversible seat, disc apart',
      why: 'Note which way up each lies.',
      off: ['pivot', 'diaphragm plate', 'diaphragm', 'ratio plug', 'reversible seat', 'dump disc'],
      minutes: 8,
    },
    {
      id: 'strip.seat',
      title: 'Removable seat: leave it alone if it is sound and there is no seat wrench',
      why: 'Corrosion where the seat meets the body means a new body.',
      caution: 'A seat started with a pipe wrench is a scrapped seat.',
      tools: ['seat wrench'],
      parts: ['removable seat', 'body'],
      optional: 'only if the seat is worn',
      minutes: 10,
    },
    {
      id: 'strip.holes',
      title: 'Communication hole and equalising port clear',
      why: 'Blocked, the valve does not close or dumps early.',
      tools: ['wire'],
      parts: ['housing', 'body'],
      minutes: 4,
    },
  ]);
}

const torque = (c: Context, bolts: number, value: number) =>
  boltUpTo(c, bolts, quantity('torque', value, 'lbf·ft'), `${value} lbf·ft, criss-cross.`);

function housingOn(c: Context): Draft[] {
  const { joint } = c.features;
  const bolts = ('bolts' in joint ? joint.bolts : undefined) ?? 8;
  return sequence(c, rebuild(PILOT, ['rebuild.clean', 'stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.drip-pot-clean',
      title: 'Clean drip pot and needle valve',
      why: 'In no kit, and always cleaned.',
      parts: ['drip pot', 'needle valve'],
      consumables: ['solvent'],
      minutes: 5,
    },
    {
      id: 'rebuild.seat',
      title: 'Seat greased and snug',
      why: 'Snug is enough.',
      caution: 'More, and its gasket tears.',
      parts: ['removable seat'],
      consumables: ['grease for the elastomer'],
      minutes: 4,
    },
    {
      id: 'rebuild.diaphragm',
      title: 'Disc, reversible seat, ratio plug, diaphragm the right way up, plate; pivot to 10 lbf·ft',
      why: 'Upside down it is cut by its plate.',
      caution: 'Wrong way up it works on the bench and fails in service.',
      tools: ['torque wrench'],
      on: ['dump disc', 'reversible seat', 'ratio plug', 'diaphragm', 'diaphragm plate', 'pivot'],
      minutes: 10,
    },
    {
      id: 'rebuild.stem',
      title: 'Stem in, pin held while it goes in',
      why: 'The pin drops into the body if it is let go.',
      on: ['stem', 'stem pin'],
      minutes: 5,
    },
    {
      id: 'rebuild.housing',
      title:
        'Housing on: equalising port 90° anticlockwise from the inlet, lifting rings opposite each other',
      why: 'The shaft comes out on the other side.',
      caution: CAUTIONS.lift,
      on: ['housing', 'lifting rings'],
      minutes: 8,
    },
    {
      id: 'rebuild.housing-bolts',
      title: 'Housing bolts by hand, then 25 lbf·ft criss-cross',
      why: 'By hand first, or the diaphragm creeps.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench'],
      on: ['housing bolts'],
      task: torque(c, bolts, 25),
      minutes: 12,
    },
    {
      id: 'rebuild.diaphragm-bolt',
      title: 'Upper diaphragm, retainer, diaphragm bolt to 10 lbf·ft with a crow-foot',
      why: 'There is no room for a socket; at 90° to the wrench the figure stays the same.',
      caution: 'In line with the wrench the crow-foot adds to the torque: set it lower.',
      tools: ['torque wrench', 'crow-foot'],
      on: ['upper diaphragm', 'diaphragm retainer', 'diaphragm bolt'],
      minutes: 8,
    },
    {
      id: 'rebuild.link',
      title: 'Trunnion hub towards the inlet, arrows up; link pin, two snap rings',
      why: 'The other way round the lever lifts the wrong way.',
      on: ['trunnion hub', 'link pin', 'snap rings'],
      minutes: 6,
    },
    {
      id: 'rebuild.bonnet',
      title: 'New gasket, bonnet on, marks meeting',
      why: 'Faces clean and dry.',
      on: ['bonnet gasket', 'bonnet'],
      minutes: 6,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Bonnet bolts 25 lbf·ft criss-cross',
      why: 'Crosswise and in passes.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['bonnet bolts'],
      task: torque(c, bolts, 25),
      minutes: 12,
    },
  ]);
}

function leverOn(c: Context, small: boolean): Draft[] {
  return sequence(c, rebuild(LEVER, ['rebuild.bolt-up', 'rebuild.clean']), [
    {
      id: 'rebuild.shaft',
      title: 'Shaft in, flat down on the long end, out of the side opposite the equalising port',
      why: 'Threads and O-rings greased.',
      consumables: ['grease for the elastomer'],
      on: ['shaft', 'shaft O-rings'],
      minutes: 6,
    },
    {
      id: 'rebuild.trunnion-plug',
      title: small
        ? 'Bushings; trunnion plug with a new O-ring, 25 lbf·ft'
        : 'Bushings; trunnion plug with a new gasket, 25 lbf·ft',
      why: small ? '2 and 3 in sizes have an O-ring here.' : '4 to 6 in sizes have a gasket here.',
      tools: ['torque wrench'],
      on: ['shaft bushings', small ? 'trunnion O-ring' : 'trunnion gasket', 'trunnion plug'],
      minutes: 6,
    },
    {
      id: 'rebuild.stuffing-box',
      title: small
        ? 'Thrust washer, stuffing box, packing, bushing; nut hand-tight plus half a turn'
        : 'Thrust washer, stuffing box, packing, follower; nut hand-tight plus half a turn',
      why: 'More stops the shaft turning.',
      caution: 'Half a turn and no more.',
      on: [
        'shaft thrust washer',
        'stuffing box',
        'packing ring',
        ...(small ? [] : (['packing follower'] as const)),
        'shaft nut',
      ],
      minutes: 8,
    },
    {
      id: 'rebuild.weight',
      title: 'Hub, lever, weight at its scribe',
      why: 'It is balanced on the set-up.',
      caution: 'Support the weight until its screw is tight.',
      on: ['lever hub', 'lever', 'weight'],
      minutes: 6,
    },
    {
      id: 'rebuild.drip-pot',
      title:
        'Medium-strength threadlocker on the nipple; drip pot down; needle valve three to four full turns',
      why: 'Down, so that it fills and not the housing.',
      consumables: ['medium-strength anaerobic threadlocker'],
      on: ['drip pot', 'needle valve'],
      minutes: 5,
    },
  ]);
}

function balanced(c: Context): Draft[] {
  return [
    ...sequence(c, setUp(LEVER, ['rebuilt']), [
      {
        id: 'setup.weight',
        title: 'Weight position: balance the hydrostatic head, recomputed',
        why: 'From the head, the seat and the lever: the working lever.weight gives the place.',
        caution: 'Hands clear of the lever: it falls when the vessel dumps.',
        parts: ['weight', 'lever'],
        tools: ['rule'],
        task: {
          kind: 'measure',
          asks: [
            { what: 'weight from the shaft', dimension: 'length', example: '14 in', instrument: 'caliper' },
          ],
        },
        minutes: 10,
      },
      {
        id: 'setup.lever',
        title: 'Lift the lever and let it fall',
        why: 'Free all the way: a shaft nut too tight holds it up.',
        parts: ['lever', 'shaft'],
        minutes: 3,
      },
    ]),
    ...sequence(c, { stage: 'test', because: PILOT, after: ['set up'], provides: ['tests'] }, [
      {
        id: 'test.function',
        title: 'Fill and watch: dumps at its head, shuts tight after',
        why: 'Dumping early or not shutting: seat, weight, a blocked pot or communication hole.',
        caution: CAUTIONS.pressure,
        parts: ['dump disc', 'reversible seat'],
        minutes: 15,
      },
    ]),
  ];
}
