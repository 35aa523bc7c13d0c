import { CAUTIONS } from '../cautions';
import { feature, type Context } from '../draft';
import { once, proving, rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { measuredBox, oldPackingOut, packing, ringsFor } from '../blocks/packing';

const IN_PLACE = feature('repacked with the actuator left on');

/** Packing renewed under an actuator that stays on: the gland is wired up out of the way. */
export const eccentricPlug: ClosureProcedure = {
  packsItself: true,
  steps: (c) => [...out(c), ...measuredBox(c), ...back(c), ...proved(c)],
};

function out(c: Context) {
  const adapters = c.has('female adapter');
  return sequence(c, once(strip(IN_PLACE, ['isolated', 'received', 'diagnosed'], 'marked')), [
    {
      id: 'strip.harmless',
      title: 'Confirm that what is in the pipe does not injure if it leaks',
      why: 'The box is opened with the valve in the pipe. Depressured both sides, and proved.',
      caution: CAUTIONS.zero,
      minutes: 5,
    },
    {
      id: 'strip.gland-nuts',
      title: 'Gland nuts off',
      why: 'Both together: a crooked gland scores the shaft.',
      caution: CAUTIONS.gland,
      off: ['gland nuts'],
      minutes: 4,
    },
    {
      id: 'strip.gland',
      title: 'Slide the gland up the stem and twist it to sit on the studs',
      why: 'Up out of the box without taking the actuator off.',
      off: ['gland'],
      minutes: 3,
    },
    {
      id: 'strip.gland-studs',
      title: 'Studs out of the bonnet; wire the gland up out of the way',
      why: 'Room to reach the box all round.',
      off: ['gland studs'],
      tools: ['locking wire'],
      minutes: 6,
    },
    adapters && {
      id: 'strip.female-adapter',
      title: 'Pull the female adapter, at the top',
      why: 'Thick and stiff: a screw driven into it lifts it.',
      caution: 'The screw into the ring only, never against the shaft.',
      off: ['female adapter'],
      tools: ['wood screw'],
      minutes: 4,
    },
    {
      id: 'strip.packing',
      ...oldPackingOut(c),
      title: 'Snip and pull the soft rings',
      why: 'Cutters slice each ring, long-nose pliers draw it. Count them as they come.',
      tools: ['side cutters and long-nose pliers'],
      off: ['packing'],
      minutes: 8,
    },
    adapters && {
      id: 'strip.male-adapter',
      title: 'Pull the male adapter, at the bottom',
      why: 'The last out, the first in.',
      off: ['male adapter'],
      minutes: 4,
    },
  ]);
}

function back(c: Context) {
  const adapters = c.has('male adapter');
  return sequence(c, once(rebuild(IN_PLACE, ['box measured'], 'packed')), [
    {
      id: 'rebuild.cut-rings',
      title: 'Cut each new ring and adapter once, radially, razor sharp; box clean',
      why: 'A ragged cut is a leak path; grit under the first ring scores the shaft.',
      caution: 'Cut away from the hand.',
      tools: ['razor knife'],
      parts: ['packing'],
      minutes: 6,
    },
    adapters && {
      id: 'rebuild.male-adapter',
      title: 'Male adapter first, to the bottom',
      why: 'It spreads the first soft ring.',
      on: ['male adapter'],
      minutes: 3,
    },
    {
      id: 'rebuild.pack',
      title: 'Each ring pressed home, one at a time, joints staggered',
      why: 'A stack pressed together is tight at the top only.',
      caution: 'Never the whole stack at once.',
      on: ['packing'],
      task: packing(c),
      consumables: ringsFor(c),
      minutes: 15,
    },
    adapters && {
      id: 'rebuild.female-adapter',
      title: 'Female adapter last, on top',
      why: 'It takes the gland’s load evenly.',
      on: ['female adapter'],
      minutes: 3,
    },
    {
      id: 'rebuild.gland',
      title: 'Gland down, studs in',
      why: 'The gland enters square.',
      on: ['gland', 'gland studs'],
      minutes: 5,
    },
    {
      id: 'rebuild.gland-nuts',
      title: 'Nuts on until they touch the gland, then one turn',
      why: 'No more: the shaft must turn freely.',
      caution: 'Overtightening: short packing life and high torque.',
      on: ['gland nuts'],
      minutes: 3,
    },
  ]);
}

function proved(c: Context) {
  return sequence(c, once(proving(IN_PLACE, ['rebuilt', 'set up'])), [
    // In its line every opened joint is looked at, and the gland nipped up, as of any valve.
    c.place !== 'in line' && {
      id: 'test.weep',
      title: 'Pressurise and look; if it weeps, each nut just enough',
      why: 'A little on each nut in turn until it is dry.',
      caution: CAUTIONS.pressure,
      parts: ['packing', 'gland nuts'],
      minutes: 10,
    },
    {
      id: 'test.stroke',
      title: 'Stroke the valve fully both ways',
      why: 'Packing too tight shows as a slow or jerking stroke.',
      caution: CAUTIONS.air,
      parts: ['shaft'],
      minutes: 5,
    },
  ]);
}
