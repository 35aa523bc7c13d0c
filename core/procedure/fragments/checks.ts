import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft, type Fragment } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import { boltUp } from './bolting';
import { springCoverOff, springCoverOn } from './spring-cover';

const INSERT = feature('guided check disc with a bypass insert');
const COVER = { bolts: 'cover bolts', cover: 'cover', spring: 'spring' } as const;

/** Pump protection: a spring-loaded cover, a guided disc, and an insert pressed in with its bushing. */
export const guidedCheck: Fragment = {
  name: 'guided check',
  openings: 'every',
  when: ({ closure }) => closure.kind === 'guided-check',
  compose: (c) => {
    if (c.condemned && c.opening.number > 1) return [];
    return [
      ...sequence(c, strip(INSERT, ['marked'], 'trim out'), [
        ...springCoverOff(COVER),
        {
          id: 'strip.gasket',
          title: 'Gasket out, to scrap',
          why: 'All gaskets are renewed.',
          off: ['cover gasket'],
          minutes: 2,
        },
        {
          id: 'strip.disc',
          title: 'Check disc up and out; guide rings off',
          why: 'Straight up its guides. The guide rings are renewed.',
          off: ['check disc', 'guide rings'],
          minutes: 6,
        },
        {
          id: 'strip.insert',
          title: 'Press insert and vortex bushing out',
          why: 'With the hydraulic press, square, on a sleeve.',
          caution: CAUTIONS.press,
          tools: ['hydraulic press', 'press sleeve'],
          off: ['bypass insert', 'vortex bushing'],
          minutes: 15,
        },
      ]),
      ...(c.condemned ? [] : [...guidedBack(c), ...functional(c)]),
    ];
  },
};

function guidedBack(c: Context): Draft[] {
  return sequence(c, rebuild(INSERT, ['rebuild.clean'], 'closed'), [
    {
      id: 'rebuild.insert',
      title: 'Bushing and insert pressed in on a clean pipe',
      why: 'Spotless. Threadlocker on the bushing; its outlet hole towards the bypass branch.',
      caution: `The hole the wrong way shuts the bypass: the pump boils. ${CAUTIONS.press}`,
      tools: ['hydraulic press', 'clean pipe'],
      consumables: ['anaerobic threadlocker'],
      on: ['vortex bushing', 'bypass insert'],
      minutes: 15,
    },
    {
      id: 'rebuild.disc',
      title: 'New guide rings; check disc in',
      why: 'It must fall freely down its guides.',
      caution: CAUTIONS.ethylene,
      consumables: ['silicone oil or soap solution'],
      on: ['guide rings', 'check disc'],
      minutes: 6,
    },
    {
      id: 'rebuild.gasket',
      title: 'New cover gasket',
      why: 'Faces clean and dry.',
      on: ['cover gasket'],
      minutes: 3,
    },
    ...springCoverOn(COVER, { task: boltUp(c), also: ['asked'] }),
  ]);
}

function functional(c: Context): Draft[] {
  return sequence(
    c,
    { stage: 'test', because: INSERT, after: ['set up', 'rebuilt', 'test.seat'], provides: ['tests'] },
    [
      {
        id: 'test.function',
        title: 'Functional test with the pump',
        why: 'At no flow the bypass runs, at full flow it shuts: heard and felt on the branch.',
        caution: 'The pump runs only under the site’s permit.',
        optional: 'only where the valve is tested in its line',
        minutes: 20,
      },
    ],
  );
}

const HINGE = feature('disc swinging on a hinge pin');

/** A hinged disc under a cover: pin, bushings and arm out, back with the disc free to turn a little. */
export const swingCheck: Fragment = {
  name: 'swing check',
  openings: 'every',
  when: ({ closure }) => closure.kind === 'swing-disc',
  compose: (c) => {
    if (c.condemned && c.opening.number > 1) return [];
    return [
      ...sequence(c, strip(HINGE, ['marked'], 'trim out'), [
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
      ]),
      ...(c.condemned ? [] : [...swingBack(c), ...swung(c)]),
    ];
  },
};

function swingBack(c: Context): Draft[] {
  return sequence(c, rebuild(HINGE, ['rebuild.clean'], 'closed'), [
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
  return sequence(c, setUp(HINGE, ['rebuilt']), [
    {
      id: 'setup.lift-disc',
      title: 'Lift the disc through the bore and let it fall',
      why: 'Free all the way, no rub, no tick at one side.',
      parts: ['disc'],
      minutes: 3,
    },
  ]);
}
