import { lengthAsk } from '../blocks/asks';
import { boltUp } from '../blocks/bolting';
import { measured } from '../blocks/measured';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const HINGE = feature('disc swinging on a hinge pin');

/** A hinged disc under a cover: pin, bushings and arm out, back with the disc free to turn a little. */
export const swingDisc: ClosureProcedure = {
  proof: {
    by: 'size',
    as: 'check',
    seat: 'metal',
    how: 'Pressure on the downstream side only, the inlet open and watched.',
    parts: ['disc', 'seat'],
  },
  steps: (c) => [...apart(c), ...sized(c), ...together(c), ...swung(c)],
};

const apart = (c: Context): Draft[] =>
  sequence(c, strip(HINGE, ['marked']), [
    {
      id: 'strip.cover',
      title: 'Cover nuts off, two opposing last; cover off',
      why: 'Two opposing hold it if anything is still pushing.',
      caution: CAUTIONS.slack,
      off: ['cover bolts', 'cover'],
      minutes: 12,
    },
    {
      id: 'strip.gasket',
      title: 'Old gasket out, to scrap',
      why: 'Once crushed it does not seal again.',
      off: ['cover gasket'],
      minutes: 3,
    },
    {
      id: 'strip.hinge-pin',
      title: 'Pin plugs out, hinge pin out',
      why: 'Hold the arm: the disc drops with it.',
      caution: 'Fingers out of the bore: the disc swings shut by its weight.',
      off: ['pin plugs', 'hinge pin'],
      minutes: 10,
    },
    {
      id: 'strip.disc',
      title: 'Arm and disc out; nut and disc off the arm; bushings out',
      why: 'How the nut was locked goes into the notes.',
      off: ['hinge arm', 'disc nut', 'disc', 'hinge bushings'],
      minutes: 10,
    },
  ]);

const sized = (c: Context): Draft[] =>
  measured(c, {
    id: 'inspect.hinge',
    title: 'Clearance of hinge pin in its bushings',
    why: 'The disc drops by half of it and misses its seat.',
    tools: ['outside micrometer', 'inside micrometer'],
    parts: ['hinge pin', 'hinge bushings'],
    asks: [lengthAsk('pin diameter', '0.75 in'), lengthAsk('bush bore', '0.755 in')],
  });

function together(c: Context): Draft[] {
  return sequence(c, rebuild(HINGE, [], 'closed'), [
    {
      id: 'rebuild.disc',
      title: 'Disc on its arm, nut locked, disc free to turn slightly',
      why: 'It finds its seat by turning a little; rigid, it lands on one side.',
      caution: 'The nut is locked: a disc that comes off goes down the line.',
      on: ['disc', 'disc nut', 'hinge arm'],
      minutes: 8,
    },
    {
      id: 'rebuild.hinge-pin',
      title: 'Bushings, pin through arm, plugs',
      why: 'The clearance measured is what lets the disc drop.',
      on: ['hinge bushings', 'hinge pin', 'pin plugs'],
      minutes: 10,
    },
    {
      id: 'rebuild.swing',
      title: 'Swing it by hand: does it land square?',
      why: 'All round at once, by its own weight.',
      parts: ['disc', 'seat'],
      minutes: 3,
    },
    {
      id: 'rebuild.gasket',
      title: 'New gasket, cover on, marks meeting',
      why: 'Faces clean and dry, the gasket centred.',
      on: ['cover gasket', 'cover'],
      minutes: 6,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Bolt up the cover',
      why: 'Crosswise and in passes.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['cover bolts'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 25,
    },
  ]);
}

function swung(c: Context): Draft[] {
  return sequence(c, setUp(HINGE), [
    {
      id: 'setup.lift-disc',
      title: 'Lift the disc through the bore and let it fall',
      why: 'Free all the way, no rub, no tick at one side.',
      parts: ['disc'],
      minutes: 3,
    },
  ]);
}
