import { phrase, quantity } from '../../quantity';
import type { BalancedPlug } from '../../valve';
import { CAGE_GUIDE } from '../../inspection';
import { fitAsks } from '../blocks/asks';
import { measured } from '../blocks/measured';
import { settledRound } from '../blocks/taken';
import { torqued } from '../blocks/torqued';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';

import { rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const CAGE = feature('balanced plug in a cage');

/** A balanced plug with its cage and upper guide, all hanging on the bonnet; plug, pin and stem are one set. */
export const balancedPlug: ClosureProcedure<BalancedPlug> = {
  torques: ['insert screw'],
  proof: { by: 'class' },
  liftsWithActuator: true,
  lift: {
    title: 'Lift straight up: bonnet, guide, cage, plug and stem together',
    why: 'Everything hangs on it; tilted, the seal rings jam in the cage.',
  },
  steps: (c, { facing }) => {
    const soft = facing === 'soft insert';
    return [...apart(c, soft), ...sized(c), ...together(c, soft)];
  },
};

const sized = (c: Context): Draft[] =>
  measured(c, {
    id: 'inspect.cage-clearance',
    title: 'Plug in its cage: clearance',
    why: 'Too slack and the seal rings carry the plug; too tight and it hangs.',
    tools: ['outside micrometer', 'inside micrometer'],
    parts: ['plug', 'cage'],
    asks: fitAsks(CAGE_GUIDE, { shaft: '2.990 in', bore: '2.998 in' }),
  });

function apart(c: Context, soft: boolean): Draft[] {
  return sequence(c, strip(CAGE, ['bonnet off'], 'stem out'), [
    {
      id: 'strip.plug-pin',
      title: 'Plug pin out with a punch',
      why: 'Supported, so that the stem is not bent.',
      tools: ['pin punch'],
      off: ['plug pin'],
      minutes: 5,
    },
    {
      id: 'strip.plug',
      title: 'Turn plug, cage and guide off as one, anticlockwise',
      why: 'Plug, pin and stem are renewed only as a set.',
      caution: CAUTIONS.grip,
      off: ['plug', 'cage', 'guide', 'plug seals', 'guide gasket'],
      minutes: 10,
    },
    soft && {
      id: 'strip.insert',
      title: 'Socket-head screw out; retainer, soft insert and its O-ring off the plug',
      why: 'The insert is the seat: always new.',
      off: ['insert screw', 'insert retainer', 'soft insert', 'insert O-ring'],
      minutes: 6,
    },
    {
      id: 'strip.stem',
      title: 'Stem out of the bonnet',
      why: 'Downwards; the packing is renewed with it.',
      caution: CAUTIONS.grip,
      off: ['stem'],
      minutes: 4,
    },
    {
      id: 'strip.seat-ring',
      title: 'Seat ring and its gasket out; clean the gasket faces',
      why: 'It lies loose, clamped by the cage.',
      off: ['seat ring', 'seat gasket'],
      minutes: 6,
    },
  ]);
}

function together(c: Context, soft: boolean): Draft[] {
  return sequence(c, rebuild(CAGE, ['stem repaired'], 'trim in'), [
    soft && {
      id: 'rebuild.insert',
      title: 'New O-ring in its cavity, insert in its recess, retainer boss through both, screw to torque',
      why: phrase`The socket-head screw: a half-inch one to ${quantity('torque', 60, 'lbf·ft')}, a three-quarter one to ${quantity('torque', 125, 'lbf·ft')}.`,
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'hex key'],
      on: ['insert O-ring', 'soft insert', 'insert retainer', 'insert screw'],
      task: torqued(c, 'insert screw'),
      minutes: 8,
    },
    {
      id: 'rebuild.guide',
      title: 'Guide upside down, new seal rings in; cage in, long lip down',
      why: 'All gaskets and seals are new; soft seals may be lightly lubricated.',
      task: settledRound('long lip of the cage'),
      consumables: ['silicone grease'],
      on: ['guide', 'plug seals', 'cage'],
      minutes: 8,
    },
    {
      id: 'rebuild.plug',
      title: 'Plug in, stem thread down; a wooden block drives it until the shoulder bottoms',
      why: 'Through the seal rings without nicking them.',
      caution: 'Wood only between hammer and plug.',
      tools: ['wooden block'],
      on: ['plug'],
      minutes: 6,
    },
    {
      id: 'rebuild.guide-gasket',
      title: 'New guide gasket',
      why: 'Between guide and bonnet.',
      on: ['guide gasket'],
      minutes: 2,
    },
    {
      id: 'rebuild.plug-pin',
      title: 'Stem in; screw the plug on it to the hole; roll pin flush',
      why: 'Proud, the pin scores the cage.',
      caution: 'The hole meets the hole: never drill a second one.',
      on: ['stem', 'plug pin'],
      minutes: 8,
    },
    {
      id: 'rebuild.seat-ring',
      title: 'New seat gasket, then seat ring',
      why: 'The cage clamps it when the bonnet goes down.',
      on: ['seat gasket', 'seat ring'],
      minutes: 4,
    },
  ]);
}
