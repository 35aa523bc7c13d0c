import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft, type Fragment } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverOf } from '../../valve';
import { clevisAligned } from './clevis';

const ROLLING = feature('rolling-diaphragm actuator on a lever');

/** A rolling diaphragm on a clevis and lever: off, looked at, back, and its fail action reversed when that is wanted. */
export const rollingDiaphragmActuator: Fragment = {
  name: 'rolling-diaphragm actuator',
  openings: 'every',
  when: ({ moved, closure }) => moved.kind === 'rolling-diaphragm' && closure.kind !== 'eccentric-plug',
  compose: (c) => {
    const { moved } = c.features;
    if (moved.kind !== 'rolling-diaphragm' || (c.condemned && c.opening.number > 1)) return [];
    return [
      ...rollingOff(c, moved),
      ...(c.condemned ? [] : [...rollingOn(c, moved), ...rollingSet(c, moved)]),
    ];
  },
};

type Rolling = MoverOf<'rolling-diaphragm'>;

const barrel = ({ form }: Rolling) => form === 'barrel across';
const reversed = ({ action }: Rolling | MoverOf<'vane-arm'>) =>
  action === 'air-to-close' ? 'air-to-close to air-to-open' : 'air-to-open to air-to-close';

function rollingOff(c: Context, moved: Rolling): Draft[] {
  return sequence(c, strip(ROLLING, ['marked'], 'actuator off'), [
    {
      id: 'strip.front-cover',
      title: 'Covers off; air to mid-travel; clevis pin out',
      why: 'At mid-travel neither spring nor seat loads the pin.',
      caution: CAUTIONS.air,
      off: ['front cover', 'clevis pin'],
      minutes: 8,
    },
    {
      id: 'strip.air-lines',
      title: 'Vent, then disconnect',
      why: 'The spring takes the stem back to its end.',
      caution: 'Fingers out of the yoke while it goes.',
      off: ['air lines', ...(c.has('positioner') ? (['positioner'] as const) : [])],
      minutes: 5,
    },
    barrel(moved) && {
      id: 'strip.actuator-handwheel',
      title: 'Handwheel screw assembly out; limit stop backed off',
      why: 'It works against the spring and would hold the barrel.',
      off: ['actuator handwheel', 'limit stop'],
      minutes: 6,
    },
    barrel(moved)
      ? {
          id: 'strip.barrel',
          title: 'Clevis and lock nut off; spring barrel off the yoke',
          why: 'The spring stays caged in its barrel.',
          caution: 'Never open the barrel on the bench without the press.',
          off: ['clevis', 'clevis nut', 'spring barrel', 'rolling diaphragm', 'actuator'],
          minutes: 12,
        }
      : {
          id: 'strip.barrel',
          title: 'Clevis and lock nut off; packing studs and yoke studs off; actuator off',
          why: 'The older form stands on the packing studs.',
          caution: CAUTIONS.lift,
          off: ['clevis', 'clevis nut', 'rolling diaphragm', 'actuator'],
          minutes: 12,
        },
    {
      id: 'strip.lever',
      title: 'Lever off the shaft, yoke off the body',
      why: 'Lever and shaft are marked to each other.',
      off: ['shaft lever', 'travel indicator', 'yoke'],
      minutes: 8,
    },
  ]);
}

function rollingOn(c: Context, moved: Rolling): Draft[] {
  const across = barrel(moved);
  const reversing = moved.reversing && c.opening.number === 1;
  return sequence(c, rebuild(ROLLING, ['packed', 'closed', 'rebuild.clean', 'trim in']), [
    {
      id: 'rebuild.lever',
      title: 'Yoke on, lever on the shaft to its mark',
      why: 'The plug turns through 50°: one spline off is short or over stroke, and damage.',
      caution: 'One spline off damages plug or seat on the first stroke.',
      on: ['yoke', 'shaft lever', 'travel indicator'],
      minutes: 8,
    },
    across
      ? {
          id: 'rebuild.barrel',
          title: reversing
            ? `Reverse, ${reversed(moved)}: spring barrel across to the other side of the yoke`
            : 'Spring barrel back on its side of the yoke',
          why: reversing
            ? 'What the spring did the air does now. Flow direction so that the flow tends to do what the signal failure should.'
            : 'New rolling diaphragm if it is cracked or hard.',
          on: ['rolling diaphragm', 'spring barrel', 'actuator'],
          minutes: 15,
        }
      : {
          id: 'rebuild.barrel',
          title: reversing
            ? `Reverse, ${reversed(moved)}: actuator to the mirror position on its studs`
            : 'Actuator back on yoke studs and packing studs',
          why: reversing
            ? 'Mirror image on the same studs. Flow direction so that the flow tends to do what the signal failure should.'
            : 'New rolling diaphragm if it is cracked or hard.',
          on: ['rolling diaphragm', 'actuator'],
          minutes: 15,
        },
    across && {
      id: 'rebuild.actuator-handwheel',
      title: reversing
        ? 'Handwheel to the side opposite the barrel; limit stop backed off'
        : 'Handwheel assembly back; limit stop backed off',
      why: 'It always works with the air, against the spring.',
      on: ['actuator handwheel', 'limit stop'],
      minutes: 8,
    },
    {
      id: 'rebuild.air-lines',
      title: 'Air lines back as marked',
      why: 'Air is needed to set the clevis.',
      on: ['air lines', ...(c.has('positioner') ? (['positioner'] as const) : [])],
      minutes: 5,
    },
    across && {
      id: 'rebuild.extend',
      title: 'Air to extend; clevis and lock nut on; vent',
      why: 'The stem is only reached extended.',
      caution: CAUTIONS.air,
      on: ['clevis', 'clevis nut'],
      minutes: 6,
    },
    {
      id: 'rebuild.lever-closed',
      title: 'Lever by hand to closed: does its pin match the closed mark?',
      why: across
        ? 'Pin in the lever, front cover on: pin on the mark. Else yoke off and the lever repositioned on the shaft.'
        : 'Close by the lever, air to the start of range: 3 psi.',
      caution: 'Off its mark it short-strokes or over-strokes, and breaks something.',
      parts: ['shaft lever', 'front cover'],
      minutes: 8,
    },
    clevisAligned(
      'rebuild.clevis',
      across ? 'no air on; scribe the stem at the yoke face' : '3 psi on',
      across ? {} : { on: ['clevis', 'clevis nut'] },
    ),
    {
      id: 'rebuild.clevis-pin',
      title: 'Pin in, lock nut tight, indicator, cover',
      why: 'With the lever open if the clevis must still be screwed in or out.',
      on: ['clevis pin', 'front cover'],
      parts: ['clevis nut', 'travel indicator'],
      minutes: 6,
    },
  ]);
}

function rollingSet(c: Context, moved: Rolling): Draft[] {
  return sequence(c, setUp(ROLLING, ['rebuilt', 'setup.gland'], 'bench set'), [
    barrel(moved) && {
      id: 'setup.spring-range',
      title: '7 psi: the stem has moved about 1/4 in from the scribe',
      why: 'A check of the spring range. More or less, and the spring is the wrong one or set wrongly.',
      caution: CAUTIONS.air,
      tools: ['regulator and test gauge', 'rule'],
      parts: ['spring barrel'],
      task: {
        kind: 'measure',
        asks: [{ what: 'movement at 7 psi', dimension: 'length', example: '1/4 in', instrument: 'caliper' }],
      },
      minutes: 6,
    },
    {
      id: 'setup.cycle',
      title: 'One full cycle at least',
      why: 'Open mark to closed mark, no jerk; more signal only seats it harder.',
      caution: CAUTIONS.air,
      parts: ['travel indicator'],
      minutes: 5,
    },
  ]);
}

const VANE = feature('pneumatic actuator on a keyed vane arm');

/** An actuator on a keyed arm: the arm off and, for the other action, back with its key in the other slot. */
export const vaneArmActuator: Fragment = {
  name: 'vane-arm actuator',
  openings: 'every',
  when: ({ moved, closure }) => moved.kind === 'vane-arm' && closure.kind !== 'eccentric-plug',
  compose: (c) => {
    const { moved } = c.features;
    if (moved.kind !== 'vane-arm' || (c.condemned && c.opening.number > 1)) return [];
    return [...vaneOff(c), ...(c.condemned ? [] : [...vaneOn(c, moved), ...vaneSet(c, moved)])];
  },
};

function vaneOff(c: Context): Draft[] {
  return sequence(c, strip(VANE, ['marked'], 'actuator off'), [
    {
      id: 'strip.air-lines',
      title: 'Air lines off, ends capped',
      why: 'Mark which goes where.',
      caution: CAUTIONS.air,
      off: ['air lines', ...(c.has('positioner') ? (['positioner'] as const) : [])],
      minutes: 5,
    },
    {
      id: 'strip.clevis-pin',
      title: 'Cotter, then clevis pin out',
      why: 'The cotter is scrapped: always new.',
      off: ['cotter', 'clevis pin'],
      minutes: 4,
    },
    {
      id: 'strip.vane-arm',
      title: 'Set screw out, note the keyed slot, arm off',
      why: 'Two slots: the one in use sets the action. Write down which.',
      caution: 'The slot not noted is the action lost.',
      off: ['arm set screw', 'vane arm', 'arm key'],
      minutes: 6,
    },
    {
      id: 'strip.actuator-off',
      title: 'Actuator off the body; clevis off its stem',
      why: 'Count the turns of the clevis.',
      caution: CAUTIONS.lift,
      off: ['actuator', 'clevis', 'clevis nut', 'indicator plate'],
      minutes: 10,
    },
  ]);
}

function vaneOn(c: Context, moved: MoverOf<'vane-arm'>): Draft[] {
  const reversing = moved.reversing && c.opening.number === 1;
  return sequence(c, rebuild(VANE, ['packed', 'closed', 'rebuild.clean', 'trim in']), [
    {
      id: 'rebuild.actuator-on',
      title: 'Actuator on the body, clevis and nut on its stem',
      why: 'As many turns as came off.',
      caution: CAUTIONS.lift,
      on: ['actuator', 'clevis', 'clevis nut'],
      minutes: 10,
    },
    {
      id: 'rebuild.vane-arm',
      title: reversing
        ? `Reverse, ${reversed(moved)}: arm on with key and screw in the other slot`
        : 'Arm on with its key in the slot noted, set screw tight',
      why: 'The key carries the torque, the screw only holds the arm.',
      on: ['arm key', 'vane arm', 'arm set screw'],
      minutes: 8,
    },
    {
      id: 'rebuild.air-lines',
      title: 'Air lines back as marked',
      why: 'Air is needed to set the clevis.',
      on: ['air lines', ...(c.has('positioner') ? (['positioner'] as const) : [])],
      minutes: 5,
    },
    {
      id: 'rebuild.vane-closed',
      title: 'Close the disc by the arm; closing-end signal on: 15 psi here',
      why: 'The end of the signal that shuts it stands on the actuator.',
      caution: CAUTIONS.air,
      parts: ['vane arm', 'vane'],
      minutes: 5,
    },
    clevisAligned('rebuild.clevis', 'the closing-end signal on'),
    {
      id: 'rebuild.clevis-pin',
      title: 'Pin, new cotter, lock nut',
      why: 'The cotter spread both ways.',
      on: ['clevis pin', 'cotter'],
      parts: ['clevis nut'],
      minutes: 4,
    },
    {
      id: 'rebuild.indicator',
      title: reversing ? 'Turn the indicator plate over' : 'Indicator plate back',
      why: 'Open must read open.',
      on: ['indicator plate'],
      minutes: 3,
    },
  ]);
}

function vaneSet(c: Context, moved: MoverOf<'vane-arm'>): Draft[] {
  return sequence(c, setUp(VANE, ['rebuilt', 'setup.gland'], 'bench set'), [
    {
      id: 'setup.stroke',
      title: 'Stroke it over the whole signal',
      why: `${moved.reversing ? 'Reversed: it moves the other way now. ' : ''}Open mark to closed mark.`,
      caution: CAUTIONS.air,
      parts: ['vane'],
      minutes: 5,
    },
    {
      id: 'setup.travel',
      title: 'Trim the travel by the pivot along the arm',
      why: 'Nearer the shaft, more travel.',
      parts: ['vane arm'],
      minutes: 8,
    },
  ]);
}
