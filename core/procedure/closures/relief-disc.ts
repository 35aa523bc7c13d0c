import { RELIEF_GUIDE, SPRING } from '../../inspection';
import { phrase, psig } from '../../quantity';
import type { ReliefDisc } from '../../valve';
import { arrivalOf } from '../blocks/arrival';
import { fitAsks, lengthAsk, pressureAsk } from '../blocks/asks';
import { boltUp } from '../blocks/bolting';
import { measured } from '../blocks/measured';
import {
  AS_FOUND,
  asFoundLive,
  BLOWDOWN,
  blowdownTask,
  coldSetTask,
  letDownAfter,
  leverTask,
  poppedBy,
  popsTask,
  RELIEF_SET,
  shareOfSet,
  sourceOf,
  tightnessTask,
} from '../blocks/relief-tests';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import type { MeasureAsk } from '../../task';
import { lookOf } from '../every-job/looks';
import { ifThere, spelt, stepName } from '../relations';
import { once, proving, rebuild, repair, sequence, setUp, strip, type Sketch } from '../sequence';
import type { ClosureProcedure } from './closure';
import { compared, taken, turnsAsk } from '../blocks/taken';
import { torqued } from '../blocks/torqued';

const RELIEF = feature('spring-loaded disc on a nozzle');

const notches = (ring: 'upper' | 'lower', example: string): MeasureAsk => ({
  what: `${ring} ring, notches from its stop`,
  dimension: 'count',
  example,
});
const RINGS = [notches('upper', '11 notches'), notches('lower', '4 notches')];

/** A safety or relief valve: popped as found, its turns and notches counted, disc and nozzle lapped apart. */
export const reliefDisc: ClosureProcedure<ReliefDisc> = {
  torques: ['insert screw', 'nozzle'],
  steps: (c, own) => [
    ...asFound(c),
    ...apart(c, own),
    ...sized(c),
    ...lapped(c, own),
    ...together(c, own),
    ...set(c, own),
  ],
};

const sized = (c: Context): Draft[] => [
  ...measured(c, {
    id: 'inspect.spring-length',
    title: 'Spring: free length and squareness',
    why: 'A spring that has set or leans pops at another pressure than its sheet says.',
    tools: ['rule', 'square'],
    parts: ['spring', 'spindle'],
    asks: [lengthAsk(SPRING.length, '4.5 in'), lengthAsk(SPRING.lean, '0.03 in')],
  }),
  ...measured(c, {
    id: 'inspect.guide-clearance',
    title: 'Disc holder in its guide: clearance',
    why: 'Too tight it hangs, too slack it lands crooked.',
    tools: ['outside micrometer', 'inside micrometer'],
    parts: ['disc holder', 'guide bush'],
    asks: fitAsks(RELIEF_GUIDE, { shaft: '1.498 in', bore: '1.504 in' }),
  }),
];

const NOTCHES = stepName('strip.ring-notches');
const HEIGHT = stepName('strip.screw-height');
const BACKED_OFF = stepName('strip.compression-screw');
const SCREW = lengthAsk('height of the compression screw', '1.75 in');
const TURNS = turnsAsk('turns of the compression screw', '4.5 turns');

function asFound(c: Context): Draft[] {
  return sequence(c, once(strip(RELIEF, ['received', 'isolated'], 'diagnosed')), [
    {
      id: 'strip.as-found-pop',
      title: 'As-found pop test, before anything is touched',
      why: 'Where it opened, where it shut, what it leaked: the only proof of whether the interval is right. Not open at 150 % of set: treat as stuck shut.',
      caution: poppedBy(c, 'Ear protection; outlet piped away.'),
      tools: [sourceOf(c)],
      task: letDownAfter(c, {
        kind: 'measure',
        asks: [
          pressureAsk(AS_FOUND.pop, shareOfSet(c, 1)),
          pressureAsk(AS_FOUND.reseat, shareOfSet(c, 0.93)),
          pressureAsk(AS_FOUND.simmer, shareOfSet(c, 0.91)),
        ],
        ...asFoundLive(c),
      }),
      minutes: 20,
    },
  ]);
}

function apart(c: Context, { balancedBy, facing, pilot }: ReliefDisc): Draft[] {
  return sequence(c, strip(RELIEF, ['marked', 'diagnosed'], 'stem out'), [
    pilot && {
      id: 'strip.pilot',
      title: 'Sense line and pilot valve off as one, every end capped; its seals out',
      why: 'The pilot sets the pressure: it is opened on a clean bench, by itself. The sense line is blown through: blocked, the valve never opens.',
      caution: 'The dome holds line pressure behind the pilot: proved at zero before a fitting is touched.',
      off: ['sense line', 'pilot valve', 'pilot seals'],
      minutes: 12,
    },
    {
      id: 'strip.cap',
      title: 'Break the seal; cap off, lever off',
      why: 'From here on it is no longer a sealed valve.',
      caution: CAUTIONS.relief,
      off: ['seal', 'cap', 'cap gasket', ...(c.has('lifting lever') ? (['lifting lever'] as const) : [])],
      minutes: 5,
    },
    {
      id: HEIGHT,
      title: 'Height of the compression screw over its nut',
      why: 'Under its cap, as it was set: shown again beside the figure as left.',
      task: taken(SCREW),
      parts: ['compression screw'],
      tools: ['caliper'],
      minutes: 3,
    },
    {
      id: NOTCHES,
      title: 'Ring positions by notch count from the reference',
      why: 'Ring pins out; turn each ring to its stop and count the notches; a valve of one ring counts it as its lower.',
      caution: 'Not counted, the blowdown is lost.',
      task: { kind: 'measure', asks: RINGS },
      off: ['ring pins'],
      parts: ['adjusting rings'],
      minutes: 6,
    },
    {
      id: BACKED_OFF,
      title: 'Back off the compression screw, counting the turns',
      why: 'The turns bring the first pop near its set.',
      unloads: true,
      caution: CAUTIONS.spring,
      off: ['compression screw'],
      task: taken(TURNS),
      minutes: 5,
    },
    {
      id: 'strip.bonnet',
      title: 'Bonnet nuts, bonnet off',
      why: 'Straight up off the spindle.',
      caution: CAUTIONS.lift,
      off: ['bonnet studs', 'bonnet', 'bonnet gasket'],
      minutes: 8,
    },
    {
      id: 'strip.spring',
      title: 'Spindle, spring and washers out together',
      why: 'Each washer stays with its own end of the spring.',
      caution: 'Tag the washers top and bottom: swapped, the spring sits crooked.',
      off: ['spindle', 'spring', 'spring washers'],
      minutes: 6,
    },
    {
      id: 'strip.disc',
      title:
        balancedBy === 'bellows'
          ? 'Guide, bellows, disc holder and disc out'
          : 'Guide, disc holder and disc out',
      why:
        balancedBy === 'bellows'
          ? 'Held by the holder, never by the bellows: a kink is a crack. The vent of the bonnet open and clear.'
          : 'The disc face up, on a clean cloth.',
      off: [
        'guide bush',
        ...(balancedBy === 'bellows' ? (['bellows', 'bellows gasket'] as const) : []),
        'disc holder',
        'disc',
        ...(pilot ? (['dome seal'] as const) : []),
      ],
      minutes: 6,
    },
    facing === 'soft insert' && {
      id: 'strip.insert',
      title: 'Screw and retainer out, soft insert out of the disc',
      why: 'The insert is the seat: always new, and of the elastomer on the plate.',
      off: ['insert screw', 'insert retainer', 'soft insert'],
      minutes: 4,
    },
    {
      id: 'strip.rings',
      title: 'Adjusting rings off; the nozzle stays',
      why: 'It comes out only if its seat is past lapping, by a call on it.',
      off: ['adjusting rings'],
      minutes: 6,
    },
  ]);
}

/** Disc and nozzle are lapped at every overhaul, each against its own lap; a soft insert is new instead. */
function lapped(c: Context, { facing }: ReliefDisc): Draft[] {
  const lap = (part: 'disc' | 'nozzle'): Sketch => ({
    id: `repair.lap-${part}`,
    title: `Lap the ${part} against a lap`,
    why: 'Flat to two or three light bands (11.6 µin each, helium).',
    caution: 'Never disc on nozzle: each would take the other’s shape.',
    tools: ['cast iron lap', 'optical flat'],
    consumables: ['lapping compound 500', 'lapping compound 900'],
    parts: [part],
    task: { kind: 'lapping' as const, against: 'a block or lap' as const, grits: [500, 900] },
    minutes: 30,
  });
  return sequence(c, repair(RELIEF, [ifThere(lookOf('disc')), ifThere(lookOf('nozzle'))]), [
    facing === 'metal' && { ...lap('disc'), also: [ifThere(arrivalOf('disc'))] },
    { ...lap('nozzle'), also: [ifThere(arrivalOf('nozzle'))] },
  ]);
}

function together(c: Context, { balancedBy, facing, pilot }: ReliefDisc): Draft[] {
  return sequence(c, rebuild(RELIEF, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.rings-on',
      title: 'Adjusting rings on',
      why: 'Clear of the lapped face of the nozzle.',
      caution: 'Guard the lapped face.',
      on: ['adjusting rings'],
      minutes: 8,
    },
    facing === 'soft insert' && {
      id: 'rebuild.insert',
      title: 'New soft insert, retainer, screw to torque',
      why: 'Flat in its recess, nothing proud of the metal round it.',
      tools: ['torque wrench', 'hex key'],
      task: torqued(c, 'insert screw'),
      on: ['soft insert', 'insert retainer', 'insert screw'],
      minutes: 5,
    },
    {
      id: 'rebuild.disc',
      title:
        balancedBy === 'bellows'
          ? 'Disc in its holder, bellows with a new gasket, holder in its guide'
          : 'Disc in its holder, holder in its guide',
      why: pilot
        ? 'The disc must rock a little in its holder; a new dome seal round it.'
        : 'The disc must rock a little in its holder.',
      on: [
        ...(pilot ? (['dome seal'] as const) : []),
        'disc',
        'disc holder',
        ...(balancedBy === 'bellows' ? (['bellows gasket', 'bellows'] as const) : []),
        'guide bush',
      ],
      minutes: 6,
    },
    {
      id: 'rebuild.rings',
      title: 'Rings to their notches, pins in',
      why: 'By the count: another blowdown is set on the stand, by whoever may, never here.',
      task: { kind: 'measure', asks: RINGS.map((ask) => ({ ...ask, was: spelt(NOTCHES, 1) })) },
      on: ['ring pins'],
      parts: ['adjusting rings'],
      minutes: 5,
    },
    {
      id: 'rebuild.spring',
      title: 'Washers to their own ends, spring, spindle',
      why: 'Point of the spindle greased.',
      consumables: ['stem grease for the service'],
      caution: 'Never turn the spindle with the disc on its seat.',
      on: ['spring washers', 'spring', 'spindle'],
      minutes: 6,
    },
    {
      id: 'rebuild.bonnet',
      title: 'New gasket, bonnet on',
      why: 'Level, or the spindle leans.',
      on: ['bonnet gasket', 'bonnet'],
      minutes: 4,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Bolt up the bonnet',
      why: 'Crosswise and in passes.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['bonnet studs'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 8,
    },
    {
      id: 'rebuild.compression-screw',
      title: 'Compression screw in by the turns counted',
      why: 'Near its set before the first pop.',
      on: ['compression screw'],
      task: compared(BACKED_OFF, TURNS),
      minutes: 3,
    },
    pilot && {
      id: 'rebuild.pilot',
      title: 'Pilot with new seals, on; sense line, blown through and clear',
      why: 'To its mark, every fitting looked at for leaks on the stand.',
      caution: CAUTIONS.relief,
      consumables: ['O-ring lubricant for the elastomer'],
      on: ['pilot seals', 'pilot valve', 'sense line'],
      minutes: 15,
    },
  ]);
}

function set(c: Context, { balancedBy, pilot }: ReliefDisc): Draft[] {
  // In its line it is looked at in service: nothing reopens a valve whose locks are off.
  const onRig = c.place !== 'in line';
  return [
    ...sequence(c, setUp(RELIEF), [
      {
        id: RELIEF_SET,
        title: pilot
          ? 'Set at its pilot, at the cold differential test pressure'
          : 'Set at the cold differential test pressure',
        why: 'Back pressure and temperature are in that figure. The spring is not reset more than 5 % off its marked range.',
        caution: CAUTIONS.relief,
        tools: [sourceOf(c)],
        parts: ['compression screw'],
        task: letDownAfter(c, coldSetTask(c, balancedBy === 'nothing' && !pilot)),
        minutes: 15,
      },
      {
        id: 'setup.screw-height',
        title: 'Height of the compression screw, as left',
        why: 'Beside the height as found: what the setting cost of the spring.',
        parts: ['compression screw'],
        tools: ['caliper'],
        task: compared(HEIGHT, SCREW),
        minutes: 2,
      },
    ]),
    ...sequence(c, { ...proving(RELIEF), ownPressure: true, provides: ['tests', 'seat tested'] }, [
      {
        id: 'test.pops',
        title: 'Three consistent pops',
        why: 'Within tolerance of what it was set to, and of each other; outside, the screw again and pop again.',
        caution: poppedBy(c, 'Ear protection.'),
        tools: [sourceOf(c)],
        task: letDownAfter(c, popsTask(c)),
        minutes: 15,
      },
      onRig && {
        id: BLOWDOWN,
        title: 'A true blowdown, and the rings as left',
        why: 'A small vessel cannot show one: then the rings stay at the maker’s position. With capacity behind it, 7 to 10 % is usual under Section VIII, Section I has its own most and least. Pressure down, spindle held, before a ring is turned.',
        optional: 'only where the rig keeps the valve open, by capacity of its own',
        caution: poppedBy(c, 'Ear protection.'),
        tools: [sourceOf(c)],
        parts: ['adjusting rings'],
        task: blowdownTask(
          c,
          RINGS.map((ask) => ({ ...ask, was: spelt(NOTCHES, 1) })),
        ),
        minutes: 10,
      },
      onRig && {
        id: 'test.tightness',
        title: 'Seat tightness at nine tenths of set',
        why: 'API 527: bubbles counted in a minute at the outlet, or the water that comes through.',
        caution: CAUTIONS.pressure,
        tools: ['bubble tube'],
        parts: ['disc', 'nozzle'],
        task: tightnessTask(c),
        minutes: 8,
      },
      onRig && {
        id: 'test.outlet-side',
        title: 'Outlet side: bonnet, cap and joints under air, soap on each',
        why:
          balancedBy === 'bellows'
            ? phrase`At the back pressure it works against, ${psig(30)} at least; nothing at the open bonnet vent: that is the bellows.`
            : phrase`At the back pressure it works against, ${psig(30)} at least; only where it is closed to a header.`,
        caution: CAUTIONS.pressure,
        consumables: ['leak-detecting soap'],
        ...(balancedBy === 'bellows' ? {} : { optional: 'only where its outlet is closed to a header' }),
        parts: ['bonnet gasket', 'bellows'],
        task: taken({
          ...pressureAsk('pressure held at the outlet', '30 psig'),
          mustBe: { atLeast: psig(30) },
        }),
        minutes: 8,
      },
      onRig &&
        c.has('lifting lever') && {
          id: 'test.lever',
          title: 'Lift it by its lever at three quarters of set',
          why: 'It must open by hand under at least 75 % of its set pressure (common practice), and shut again.',
          caution: `${CAUTIONS.pressure} Ear protection.`,
          tools: ['test rig'],
          parts: ['lifting lever'],
          task: leverTask(c),
          minutes: 4,
        },
      {
        id: 'test.seal',
        title: 'Gag out; cap, lever, seal',
        why: 'A gag left in is no valve. Sealed by whoever may, with their mark: where the law asks for an authorised repairer, by nobody else.',
        caution: CAUTIONS.relief,
        task: {
          kind: 'do',
          ...(c.site.sealedBy === 'anybody' ? {} : { mayBy: ['inspector', 'lead'] as const }),
          writes: [
            'number of the seal',
            'sealed by, and by what authority',
            'gag and test plugs out, how many',
          ],
        },
        on: ['cap gasket', 'cap', ...(c.has('lifting lever') ? (['lifting lever'] as const) : []), 'seal'],
        minutes: 5,
      },
    ]),
  ];
}
