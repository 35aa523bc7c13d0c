import { HINGE as HINGE_PIN } from '../../inspection';
import type { SwingDisc } from '../../valve';
import { fitAsks, lengthAsk } from '../blocks/asks';
import { boltUp, jointGap } from '../blocks/bolting';
import { measured } from '../blocks/measured';
import { compared, taken } from '../blocks/taken';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { capital } from '../../quantity';
import { stepName } from '../relations';
import { rebuild, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const HINGE = feature('disc swinging on a hinge pin');

/** A hinged disc under a cover: pin, bushings and arm out, back with the disc free to turn a little. */
export const swingDisc: ClosureProcedure<SwingDisc> = {
  proof: {
    by: 'size',
    as: 'check',
    seat: 'metal',
    how: 'Pressure on the downstream side only, the inlet open and watched.',
    parts: ['disc', 'seat'],
  },
  steps: (c, { outside }) => [
    ...apart(c, outside),
    ...sized(c),
    ...together(c, outside),
    ...swung(c, outside),
  ],
};

type Outside = SwingDisc['outside'];

/** What stands outside on the hinge shaft. */
const onShaft = (outside: Outside) => (outside === 'lever and weight' ? 'outside weight' : 'dashpot');

const LEVER_MARKED = stepName('strip.outside-lever');
const PLACE = lengthAsk('place of the weight on its lever', '9 in');

const apart = (c: Context, outside: Outside): Draft[] =>
  sequence(c, strip(HINGE, ['marked']), [
    outside !== 'nothing' && {
      id: LEVER_MARKED,
      title: `${capital(onShaft(outside))} off its lever, lever off its shaft, marked to each other`,
      why:
        outside === 'lever and weight'
          ? 'Where the weight stands sets how the disc shuts.'
          : 'Without its dashpot the disc slams: hold the lever until it is off.',
      caution: 'The disc moves with the lever: fingers out of the bore, the weight held.',
      ...(outside === 'lever and weight'
        ? { task: taken(PLACE), tools: ['caliper', 'paint pen'] }
        : { tools: ['paint pen'] }),
      off: [onShaft(outside), 'outside lever'],
      minutes: 6,
    },
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
      title:
        outside === 'nothing'
          ? 'Pin plugs and their seals out, hinge pin out'
          : 'Shaft packing and pin plugs out, hinge pin out',
      why: 'Hold the arm: the disc drops with it.',
      caution: 'Fingers out of the bore: the disc swings shut by its weight.',
      off: [
        ...(outside === 'nothing' ? [] : (['shaft packing'] as const)),
        'pin plugs',
        'pin plug seals',
        'hinge pin',
      ],
      minutes: 10,
    },
    {
      id: 'strip.disc',
      title: 'Arm and disc out; nut and disc off the arm; bushings out',
      why: 'The lock of the nut is never used again.',
      task: { kind: 'do', writes: 'how the nut was locked: cotter, tab, weld, thread locker' },
      off: ['hinge arm', 'nut lock', 'disc nut', 'disc', 'hinge bushings'],
      minutes: 10,
    },
  ]);

const sized = (c: Context): Draft[] =>
  measured(c, {
    id: 'inspect.hinge',
    title: 'Clearance of hinge pin in its bushings',
    why: 'The disc drops by half of it and misses its seat.',
    tools: ['outside micrometer', 'inside micrometer', 'feeler gauges'],
    parts: ['hinge pin', 'hinge bushings'],
    asks: [
      ...fitAsks(HINGE_PIN, { shaft: '0.75 in', bore: '0.755 in' }),
      lengthAsk('clearance of the pin, by feeler or lift', '0.005 in'),
    ],
  });

function together(c: Context, outside: Outside): Draft[] {
  return sequence(c, rebuild(HINGE, [], 'closed'), [
    {
      id: 'rebuild.disc',
      title: 'Disc on its arm, nut locked anew, disc free to turn slightly',
      why: 'It finds its seat by turning a little; rigid, it lands on one side.',
      caution: 'The nut is locked: a disc that comes off goes down the line.',
      on: ['disc', 'disc nut', 'nut lock', 'hinge arm'],
      minutes: 8,
    },
    {
      id: 'rebuild.hinge-pin',
      title:
        outside === 'nothing'
          ? 'Bushings, pin through arm, plugs sealed anew'
          : 'Bushings, shaft through arm, plug and shaft sealed anew',
      why: 'The clearance measured is what lets the disc drop. A plug sealed with an old seal weeps on the shell test.',
      on: [
        'hinge bushings',
        'hinge pin',
        'pin plug seals',
        'pin plugs',
        ...(outside === 'nothing' ? [] : (['shaft packing'] as const)),
      ],
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
    { id: 'rebuild.joint-gap', ...jointGap('cover'), parts: ['cover'] },
    outside !== 'nothing' && {
      id: 'rebuild.outside-lever',
      title: `Lever on its shaft to its mark, ${onShaft(outside)} on`,
      why:
        outside === 'lever and weight'
          ? 'The weight where it stood: further out it shuts earlier and harder.'
          : 'Its stroke ends with the disc: a dashpot that bottoms first holds it open.',
      caution: 'The disc moves with the lever: fingers out of the bore, the weight held.',
      ...(outside === 'lever and weight' ? { task: compared(LEVER_MARKED, PLACE), tools: ['caliper'] } : {}),
      on: ['outside lever', onShaft(outside)],
      minutes: 6,
    },
  ]);
}

function swung(c: Context, outside: Outside): Draft[] {
  return sequence(c, setUp(HINGE), [
    {
      id: 'setup.lift-disc',
      title:
        outside === 'nothing'
          ? 'Lift the disc through the bore and let it fall'
          : 'Swing the disc by its lever and let it fall',
      why:
        outside === 'lever and dashpot'
          ? 'Free to the last, then slowed and not stopped.'
          : 'Free all the way, no rub, no tick at one side.',
      parts: ['disc'],
      minutes: 3,
    },
  ]);
}
