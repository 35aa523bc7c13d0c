import type { HygienicCylinder } from '../../valve';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverProcedure } from './mover';
import { taken } from '../blocks/taken';
import { lipSealsIn, lipSealsOut } from '../blocks/lip-seals';

const CLAMPED = feature('clamped hygienic body, spring-closed cylinder');

/** A clamped seat valve with a small or a large actuator: its cylinder held by a locking wire. */
export const hygienicCylinder: MoverProcedure<HygienicCylinder> = {
  steps: (c, { size }) => [
    ...(size === 'small' ? [...smallApart(c), ...smallTogether(c)] : [...largeApart(c), ...largeTogether(c)]),
    ...proved(c),
  ],
};

const GREASE = ['food-grade grease'] as const;
const HELD = 'Clamped springs are dangerous: air on to take the load before clamp, plug or wire is freed.';

function smallApart(c: Context): Draft[] {
  return sequence(c, strip(CLAMPED, ['marked'], 'stem out'), [
    {
      id: 'strip.clamp',
      benchAir: true,
      title: 'Bench air on, clamp off, actuator and plug out of the body',
      why: 'With air on the plug is off its seat.',
      caution: HELD,
      off: ['lower clamp', 'clamp seat ring'],
      minutes: 5,
    },
    {
      id: 'strip.plug',
      benchAir: true,
      title: 'Plastic ring and clip off the rod, plug off the stem; release the air',
      why: 'The air holds the stem out while you reach the clip; the plastic ring goes back under it.',
      caution: HELD,
      off: ['plug clip', 'hygienic plug'],
      minutes: 4,
    },
    lipSealsOut('strip.lip-seal', 'lip seal'),
    {
      id: 'strip.locking-wire',
      title: 'Air off; turn the cylinder and draw the locking wire out through its slot',
      why: 'It holds cylinder and bonnet together.',
      caution: HELD,
      off: ['air plug', 'locking wire'],
      minutes: 6,
    },
    {
      id: 'strip.cylinder',
      title:
        'Cylinder off the bonnet; spring assembly and stem out; three O-rings off the piston, two off the bonnet',
      why: 'The spring assembly stays in one piece. Five rings, counted as they come.',
      caution: CAUTIONS.clampedSpring,
      off: ['cylinder', 'spring assembly', 'stem', 'actuator O-rings', 'bonnet', 'bonnet O-rings'],
      minutes: 8,
    },
  ]);
}

function smallTogether(c: Context): Draft[] {
  return sequence(c, rebuild(CLAMPED, ['stem repaired'], 'closed'), [
    {
      id: 'rebuild.cylinder',
      title:
        'Two new O-rings on the bonnet, three on the piston; stem and spring assembly in, cylinder on the bonnet',
      why: 'All seals are new, food-grade grease only.',
      caution: CAUTIONS.clampedSpring,
      consumables: GREASE,
      on: ['bonnet O-rings', 'bonnet', 'actuator O-rings', 'stem', 'spring assembly', 'cylinder'],
      minutes: 10,
    },
    {
      id: 'rebuild.locking-wire',
      title: 'Locking wire in through the slot into its hole; turn 360°, then a further 180°',
      why: 'The first turn draws it in; the half turn lines the air connections up.',
      caution: 'A wire not fully in lets the cylinder go on the first air.',
      on: ['locking wire', 'air plug'],
      minutes: 6,
    },
    lipSealsIn(c, 'rebuild.lip-seal', 'lip seal'),
    {
      id: 'rebuild.plug',
      benchAir: true,
      title: 'Bench air on; plug on the stem, plastic ring and clip on the rod; release',
      why: 'The air holds the stem out.',
      caution: HELD,
      on: ['hygienic plug', 'plug clip'],
      minutes: 5,
    },
    {
      id: 'rebuild.clamp',
      benchAir: true,
      title: 'New seat ring, into the body, clamp on',
      why: 'With air on, so that the plug is not pressed on an open joint.',
      caution: HELD,
      on: ['clamp seat ring', 'lower clamp'],
      minutes: 5,
    },
  ]);
}

function largeApart(c: Context): Draft[] {
  return sequence(c, strip(CLAMPED, ['marked'], 'stem out'), [
    {
      id: 'strip.plug',
      benchAir: true,
      title: 'Lower clamp off; unscrew the plug',
      why: 'Air on, so that it is off its seat.',
      caution: HELD,
      off: ['lower clamp', 'clamp seat ring', 'hygienic plug', 'plug clip'],
      minutes: 8,
    },
    {
      id: 'strip.actuator-out',
      title:
        'Air off; upper clamp and its seal ring off; actuator and bonnet lifted out as one, on to a stand',
      why: 'Held upright, or the springs push it over.',
      caution: CAUTIONS.lift,
      tools: ['actuator stand'],
      off: ['upper clamp', 'upper clamp seal'],
      minutes: 8,
    },
    {
      id: 'strip.locking-wire',
      title: 'Air plug out; turn the cylinder to draw the wire',
      why: 'It comes out as the cylinder turns.',
      caution: HELD,
      off: ['air plug', 'locking wire'],
      minutes: 6,
    },
    {
      id: 'strip.cylinder',
      title: 'Cylinder, its three O-rings, both guide rings; spring; piston and stem',
      why: 'In that order, laid out in that order.',
      caution: CAUTIONS.clampedSpring,
      tools: ['press'],
      off: ['cylinder', 'cylinder O-ring', 'piston guide rings', 'spring assembly', 'piston', 'stem'],
      minutes: 12,
    },
    {
      id: 'strip.bonnet',
      title: 'Retainer and its ring out; bonnet unclamped, its guide ring and O-rings out',
      why: 'The guide ring of the bonnet carries the stem.',
      tools: ['plastic pick'],
      off: ['seal retainer', 'bonnet', 'bonnet guide ring', 'bonnet O-rings'],
      minutes: 6,
    },
    lipSealsOut('strip.actuator-lip-seal', 'actuator lip seal'),
    lipSealsOut('strip.lip-seal', 'lip seal'),
  ]);
}

function largeTogether(c: Context): Draft[] {
  return sequence(c, rebuild(CLAMPED, ['stem repaired'], 'closed'), [
    lipSealsIn(c, 'rebuild.lip-seal', 'lip seal'),
    lipSealsIn(c, 'rebuild.actuator-lip-seal', 'actuator lip seal'),
    {
      id: 'rebuild.bonnet',
      title: 'New O-rings and guide ring in the bonnet, retainer and its ring',
      why: 'Guide ring home in its groove before the stem goes through.',
      consumables: GREASE,
      on: ['bonnet O-rings', 'bonnet guide ring', 'bonnet', 'seal retainer'],
      minutes: 6,
    },
    {
      id: 'rebuild.cylinder',
      title: 'Stem, piston, spring; two new guide rings and three O-rings; cylinder over them in the press',
      why: 'All seals are new, food-grade grease only.',
      caution: CAUTIONS.clampedSpring,
      tools: ['press'],
      consumables: GREASE,
      on: ['stem', 'piston', 'spring assembly', 'piston guide rings', 'cylinder O-ring', 'cylinder'],
      minutes: 14,
    },
    {
      id: 'rebuild.locking-wire',
      title: 'Locking wire drawn in by turning the cylinder; air plug',
      why: 'All the way, until its end is home.',
      caution: 'A wire not fully in lets the cylinder go on the first air.',
      on: ['locking wire', 'air plug'],
      minutes: 6,
    },
    {
      id: 'rebuild.actuator-in',
      title: 'Bonnet and actuator in as one, new upper seal ring, upper clamp on',
      why: 'Air connections as marked.',
      caution: CAUTIONS.lift,
      on: ['upper clamp seal', 'upper clamp'],
      minutes: 6,
    },
    {
      id: 'rebuild.plug',
      benchAir: true,
      title: 'Air on; plug screwed on, new seat ring, lower clamp',
      why: 'With air on the plug is clear of the joint.',
      caution: HELD,
      on: ['hygienic plug', 'plug clip', 'clamp seat ring', 'lower clamp'],
      minutes: 8,
    },
  ]);
}

function proved(c: Context): Draft[] {
  return [
    ...sequence(c, setUp(CLAMPED), [
      {
        id: 'setup.stroke',
        benchAir: true,
        title: 'Stroke on air: opens fully, shuts by its spring',
        why: 'No air at the leak hole.',
        caution: CAUTIONS.air,
        parts: ['cylinder'],
        minutes: 4,
      },
    ]),
    ...sequence(c, proving(CLAMPED), [
      {
        id: 'test.function',
        title: 'Seat and clamp joints tight on water; then clean in place',
        why: 'At its working pressure, held: nothing at the seat, the clamps, the leak-detection hole.',
        task: taken({
          what: 'water pressure held',
          dimension: 'gauge pressure',
          example: '90 psig',
          instrument: 'gauge',
        }),
        caution: CAUTIONS.pressure,
        parts: ['clamp seat ring', 'lip seal'],
        minutes: 10,
      },
    ]),
  ];
}
