import { phrase, psig } from '../../quantity';
import { resulting, type VaneArm } from '../../valve';
import { lengthAsk } from '../blocks/asks';
import { clevisAligned, reversed } from '../blocks/clevis';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverProcedure } from './mover';
import { compared, putRound, seenRound, taken, turnsAsk } from '../blocks/taken';
import { stepName } from '../relations';

const VANE = feature('pneumatic actuator on a keyed vane arm');

const ARM_OFF = stepName('strip.vane-arm');
const ACTUATOR_OFF = stepName('strip.actuator-off');
const CLEVIS = turnsAsk('turns of the clevis', '9 turns');

/** An actuator on a keyed arm: the arm off and, for the other action, back with its key in the other slot. */
export const vaneArm: MoverProcedure<VaneArm> = {
  settings: () => [lengthAsk('clevis thread showing', '0.5 in')],
  steps: (c, moved) => [...off(c), ...on(c, moved), ...set(c, moved)],
};

function off(c: Context): Draft[] {
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
      id: ARM_OFF,
      title: 'Set screw out, note the keyed slot, arm off',
      why: 'Two slots: the one in use sets the action.',
      task: seenRound('key slot of the arm'),
      caution: 'The slot not noted is the action lost.',
      off: ['arm set screw', 'vane arm', 'arm key'],
      minutes: 6,
    },
    {
      id: ACTUATOR_OFF,
      title: 'Actuator off the body; clevis off its stem',
      why: 'Count the turns of the clevis.',
      task: taken(CLEVIS),
      caution: CAUTIONS.lift,
      off: ['actuator', 'clevis', 'clevis nut', 'indicator plate'],
      minutes: 10,
    },
  ]);
}

function on(c: Context, moved: VaneArm): Draft[] {
  const reversing = moved.reversing && c.opening.number === 1;
  const airShuts = resulting(moved) === 'air-to-close';
  return sequence(c, rebuild(VANE, ['packed', 'closed', 'trim in']), [
    {
      id: 'rebuild.actuator-on',
      title: 'Actuator on the body, clevis and nut on its stem',
      why: 'As many turns as came off.',
      task: compared(ACTUATOR_OFF, CLEVIS),
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
      task: putRound(ARM_OFF, 'key slot of the arm', moved.reversing ? { turned: true } : {}),
      on: ['arm key', 'vane arm', 'arm set screw'],
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
    {
      id: 'rebuild.vane-closed',
      benchAir: true,
      title: airShuts
        ? 'Close the disc by the arm; closing-end signal on'
        : 'Close the disc by the arm; no air on',
      why: airShuts
        ? phrase`The end of the signal that shuts it stands on the actuator: ${psig(15)}.`
        : 'No air on: the spring shuts it.',
      caution: CAUTIONS.air,
      parts: ['vane arm', 'vane'],
      minutes: 5,
    },
    clevisAligned('rebuild.clevis', airShuts ? 'the closing-end signal on' : 'no air on', { benchAir: true }),
    {
      id: 'rebuild.clevis-pin',
      benchAir: true,
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

function set(c: Context, moved: VaneArm): Draft[] {
  return sequence(c, setUp(VANE, ['gland set'], 'bench set'), [
    {
      id: 'setup.stroke',
      benchAir: true,
      title: 'Stroke it over the whole signal',
      why: `${moved.reversing ? 'Reversed: it moves the other way now. ' : ''}Open mark to closed mark.`,
      caution: CAUTIONS.air,
      parts: ['vane'],
      minutes: 5,
    },
    {
      id: 'setup.travel',
      benchAir: true,
      title: 'Trim the travel by the pivot along the arm',
      why: 'Nearer the shaft, more travel.',
      parts: ['vane arm'],
      minutes: 8,
    },
  ]);
}
