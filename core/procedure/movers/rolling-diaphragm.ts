import { inches, phrase, psig } from '../../quantity';
import { resulting, type RollingDiaphragm } from '../../valve';
import { lengthAsk } from '../blocks/asks';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverProcedure } from './mover';
import { clevisAligned, reversed } from '../blocks/clevis';

const ROLLING = feature('rolling-diaphragm actuator on a lever');

/** A rolling diaphragm on a clevis and lever: off, looked at, back, and its fail action reversed when that is wanted. */
export const rollingDiaphragm: MoverProcedure<RollingDiaphragm> = {
  settings: () => [lengthAsk('clevis to yoke face', '1.5 in')],
  steps: (c, moved) => [...off(c, moved), ...on(c, moved), ...set(c)],
};

const barrel = ({ form }: RollingDiaphragm) => form === 'barrel across';

function off(c: Context, moved: RollingDiaphragm): Draft[] {
  return sequence(c, strip(ROLLING, ['marked'], 'actuator off'), [
    {
      id: 'strip.front-cover',
      benchAir: true,
      title: 'Covers off; air to mid-travel; clevis pin out',
      why: 'At mid-travel neither spring nor seat loads the pin.',
      caution: CAUTIONS.air,
      off: ['front cover', 'clevis pin'],
      minutes: 8,
    },
    barrel(moved) && {
      id: 'strip.clevis',
      benchAir: true,
      title: 'Air to extend; clevis and lock nut off',
      why: 'They are only reached with the stem extended.',
      caution: CAUTIONS.air,
      off: ['clevis', 'clevis nut'],
      minutes: 6,
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
          title: 'Spring barrel off the yoke',
          why: 'The spring stays caged in its barrel.',
          caution: 'Never open the barrel on the bench without the press.',
          off: ['spring barrel', 'rolling diaphragm', 'actuator'],
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
      title: 'Lever set screw out, lever off the shaft, yoke off the body',
      why: 'Lever and shaft are marked to each other; clear of the handwheel screw.',
      off: ['shaft lever', 'travel indicator', 'yoke'],
      minutes: 8,
    },
  ]);
}

function on(c: Context, moved: RollingDiaphragm): Draft[] {
  const across = barrel(moved);
  const reversing = moved.reversing && c.opening.number === 1;
  const springShuts = resulting(moved) === 'air-to-open';
  return sequence(c, rebuild(ROLLING, ['packed', 'closed', 'trim in']), [
    {
      id: 'rebuild.lever',
      title: 'Yoke on, lever on the shaft to its mark, set screw tight',
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
            ? `Reverse, ${reversed(moved)}: actuator to the mirror position on its studs, its handwheel to the other side; yoke and packing nuts tight`
            : 'Actuator back on yoke studs and packing studs, yoke and packing nuts tight',
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
      also: ['relay together'],
      title: 'Air lines back as marked',
      why: 'Air is needed to set the clevis.',
      on: ['air lines', ...(c.has('positioner') ? (['positioner'] as const) : [])],
      minutes: 5,
    },
    across && {
      id: 'rebuild.extend',
      benchAir: true,
      title: 'Air to extend; clevis and lock nut on; vent',
      why: 'The stem is only reached extended.',
      caution: CAUTIONS.air,
      on: ['clevis', 'clevis nut'],
      minutes: 6,
    },
    {
      id: 'rebuild.lever-closed',
      benchAir: true,
      title: 'Lever by hand to closed: does its pin match the closed mark?',
      why: across
        ? 'Pin in the lever, front cover on: pin on the mark. Else yoke off and the lever repositioned on the shaft.'
        : 'Close by the lever, its pin on the mark.',
      caution: 'Off its mark it short-strokes or over-strokes, and breaks something.',
      parts: ['shaft lever', 'front cover'],
      minutes: 8,
    },
    springShuts && {
      id: 'rebuild.spring-range',
      benchAir: true,
      title: 'Scribe the stem at the yoke face with no air; then a little air on: how far has it moved?',
      why: phrase`At ${psig(7)} about ${{ ...inches(1 / 4), entered: '1/4 in' }}: what of the spring is left to press the plug home. Outside, it is the wrong spring or wrongly set.`,
      caution: CAUTIONS.air,
      tools: ['rule'],
      parts: across ? ['spring barrel'] : ['actuator'],
      task: {
        kind: 'measure',
        asks: [
          {
            ...lengthAsk('movement at 7 psi', '1/4 in'),
            mustBe: { from: inches(3 / 16), to: inches(5 / 16) },
          },
        ],
      },
      minutes: 6,
    },
    clevisAligned(
      'rebuild.clevis',
      springShuts
        ? phrase`${psig(7)} on, as it was scribed`
        : phrase`${psig(15)} on, the end of the signal that shuts it`,
      { benchAir: true, ...(across ? {} : { on: ['clevis', 'clevis nut'] as const }) },
    ),
    {
      id: 'rebuild.clevis-pin',
      title: 'Pin in, its dot to the cover, clips on; air to reach the lock nut, and tight; indicator, cover',
      why: 'With the lever open if the clevis must still be screwed in or out.',
      benchAir: true,
      on: ['clevis pin', 'front cover'],
      parts: ['clevis nut', 'travel indicator'],
      minutes: 6,
    },
  ]);
}

function set(c: Context): Draft[] {
  return sequence(c, setUp(ROLLING, ['gland set'], 'bench set'), [
    {
      id: 'setup.cycle',
      benchAir: true,
      title: 'One full cycle at least',
      why: 'Open mark to closed mark, no jerk; more signal only seats it harder.',
      caution: CAUTIONS.air,
      parts: ['travel indicator'],
      minutes: 5,
    },
    c.has('limit stop') && {
      id: 'setup.limit-stop',
      title: 'Handwheel and limit stop to their wanted place',
      why: 'Left in, a handwheel or a stop is travel lost, and found by the next one.',
      parts: ['actuator handwheel', 'limit stop'],
      task: { kind: 'do', writes: 'where the handwheel and the limit stop stand' },
      minutes: 3,
    },
  ]);
}
