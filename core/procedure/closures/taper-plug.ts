import { CAUTIONS } from '../cautions';
import { feature, fromCall, type Context, type Draft } from '../draft';
import { stepName } from '../relations';
import { inspect, rebuild, repair, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { boltUp } from '../blocks/bolting';
import { lengthAsk } from '../blocks/asks';
import { taken } from '../blocks/taken';
import { TURNED_AS_FOUND, turnedBy, turnedNoHarder } from '../blocks/turning';
import { measuredBox, oldPackingOut, packing } from '../blocks/packing';

const TAPER = feature('lubricated taper plug: the sealant film is the seal');

/** A taper plug in its body, sealed by sealant in its grooves and held by an adjusting screw under a cap. */
export const taperPlug: ClosureProcedure = {
  packsItself: true,
  proof: {
    by: 'size',
    as: 'lubricated plug',
    seat: 'metal',
    how: 'Closed, sealant fresh; each side in turn, the other open and watched.',
    parts: ['plug'],
  },
  steps: (c) => [...apart(c), ...measuredBox(c), ...blue(c), ...lapped(c), ...together(c), ...adjusted(c)],
};

const TURNED_BY = turnedBy('plug', '60 lbf·ft');
const SCREW = lengthAsk('height of the adjusting screw', '0.75 in');

function apart(c: Context): Draft[] {
  return sequence(c, strip(TAPER, ['marked'], 'stem out'), [
    {
      id: TURNED_AS_FOUND,
      title: 'What it takes to turn it, and how its adjusting screw stands',
      why: 'As found, before sealant or screw is touched: what it takes as left is held against it.',
      tools: ['torque wrench', 'caliper'],
      parts: ['plug', 'adjusting screw'],
      task: taken(TURNED_BY, SCREW),
      minutes: 5,
    },
    {
      id: 'strip.injector',
      title: 'Grease injector out, its check with it',
      why: 'First, so that nothing stays under pressure in the grooves.',
      caution: 'Sealant behind the check is under line pressure: unscrew slowly, stand aside.',
      off: ['grease injector'],
      minutes: 5,
    },
    {
      id: 'strip.locking-ring',
      title: 'Stem locking ring off',
      why: 'It keeps the stem in; the gland comes next.',
      off: ['locking ring'],
      minutes: 3,
    },
    {
      id: 'strip.gland',
      title: 'Gland bolts out, gland off',
      why: 'Evenly, so that it comes up square.',
      caution: CAUTIONS.gland,
      off: ['gland bolts', 'gland'],
      minutes: 6,
    },
    {
      id: 'strip.cap',
      title: 'Cap bolts out; cap with adjusting screw and spacer',
      why: 'The screw is backed off first: it moves the plug up and down on its taper.',
      caution: CAUTIONS.slack,
      off: ['cap bolts', 'cap', 'adjusting screw', 'cap spacer'],
      minutes: 8,
    },
    {
      id: 'strip.plate',
      title: 'Cover plate, second spacer, gasket out',
      why: 'The crushed gasket goes to scrap.',
      off: ['cover plate', 'plate spacer', 'cover gasket'],
      minutes: 6,
    },
    {
      id: 'strip.plug',
      title: 'Push the stem down to drive the plug out',
      why: 'The thrust spring between them comes with it.',
      caution: 'Catch it: the taper lets go all at once and the plug is heavy.',
      off: ['plug', 'thrust spring'],
      minutes: 8,
    },
    {
      id: 'strip.wipe',
      title: 'Wipe off the old sealant',
      why: 'Grooves and balance holes cannot be seen under it.',
      consumables: ['solvent', 'rags'],
      parts: ['plug', 'body'],
      minutes: 8,
    },
    {
      id: 'strip.stem',
      title: 'Stem out with its thrust washer and two O-rings',
      why: 'Downwards, into the body. The washer lies under the shoulder of the stem.',
      off: ['stem', 'thrust washer', 'stem O-rings'],
      minutes: 4,
    },
    { id: 'strip.packing', ...oldPackingOut(c), off: ['packing'], minutes: 8 },
  ]);
}

const BLUE = stepName('inspect.taper-blue');

function blue(c: Context): Draft[] {
  return sequence(c, inspect(TAPER), [
    {
      id: 'inspect.grooves',
      title: 'Grease grooves and balance holes: clear?',
      why: 'A blocked groove starves half the film; a blocked hole locks the plug by pressure.',
      parts: ['plug'],
      task: {
        kind: 'look',
        part: 'plug',
        choices: [
          { label: 'Clear', finding: { kind: 'sound' } },
          { label: 'Blocked', finding: { kind: 'blocked' } },
          { label: 'Scored taper', finding: { kind: 'galled' } },
        ],
      },
      minutes: 5,
    },
    {
      id: 'inspect.stem-slot',
      title: 'Stem slot and plug tongue: wear',
      why: 'Slack here and the plug is not where the stem says.',
      parts: ['stem'],
      task: {
        kind: 'look',
        part: 'stem',
        choices: [
          { label: 'Close fit', finding: { kind: 'sound' } },
          { label: 'Worn', finding: { kind: 'worn' } },
        ],
      },
      minutes: 3,
    },
    {
      id: BLUE,
      title: 'Blue the plug in its body: 80 % or more, evenly spread?',
      why: 'Of the sealing area, with no band missing from port to port (common target).',
      tools: ['lamp'],
      consumables: ['spotting blue'],
      parts: ['plug', 'body'],
      task: {
        kind: 'look',
        part: 'plug',
        choices: [
          { label: '80 % or more, even', finding: { kind: 'sound' } },
          { label: 'Less, or uneven', finding: { kind: 'light marks' } },
        ],
      },
      minutes: 10,
    },
  ]);
}

/** Plug and body are lapped as a pair, when the blue asks for it. */
function lapped(c: Context): Draft[] {
  const call = c.calls.get('plug');
  const again = c.opening.number > 1;
  if (!again && (call?.verdict !== 'rework' || call.method === 'clear and clean')) return [];
  return sequence(c, repair(call ? fromCall(call) : TAPER, [BLUE]), [
    {
      id: 'repair.lap-taper',
      title: 'Lap plug and body as a pair',
      why: 'Lift and turn, coarse then fine, until the blue covers 80 % and more.',
      caution: CAUTIONS.compound,
      consumables: ['lapping compound 120', 'lapping compound 240'],
      parts: ['plug', 'body'],
      task: { kind: 'lapping', against: 'its own seat', grits: [120, 240] },
      minutes: 60,
    },
  ]);
}

function together(c: Context): Draft[] {
  return sequence(c, rebuild(TAPER, ['box measured', 'stem repaired'], 'closed', 'packed'), [
    {
      id: 'rebuild.stem-in',
      title: 'Thrust washer on the stem, two new O-rings, stem in',
      why: 'The washer under its shoulder, so that the stem does not gall; then from inside, up through the body.',
      on: ['thrust washer', 'stem O-rings', 'stem'],
      consumables: ['O-ring lubricant for the elastomer'],
      minutes: 5,
    },
    {
      id: 'rebuild.plug-in',
      title: 'Thrust spring on the stem, plug in, marks meeting',
      why: 'The spring presses the plug into its taper.',
      on: ['thrust spring', 'plug'],
      minutes: 6,
    },
    {
      id: 'rebuild.plate',
      title: 'New gasket, spacer, cover plate',
      why: 'A crushed gasket does not seal again.',
      on: ['cover gasket', 'plate spacer', 'cover plate'],
      minutes: 6,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Spacer, cap with its adjusting screw, cap bolts',
      why: 'Crosswise and in passes.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['cap spacer', 'cap', 'adjusting screw', 'cap bolts'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 15,
    },
    {
      id: 'rebuild.pack',
      title: 'New packing rings, joints staggered',
      why: 'After the joint is tight.',
      on: ['packing'],
      task: packing(c),
      consumables: ['braided packing'],
      minutes: 12,
    },
    {
      id: 'rebuild.gland',
      title: 'Gland and gland bolts, even; locking ring',
      why: 'Square to the stem.',
      caution: CAUTIONS.gland,
      on: ['gland', 'gland bolts', 'locking ring'],
      minutes: 6,
    },
    {
      id: 'rebuild.injector',
      title: 'Grease injector in, its check sound',
      why: 'It is what stands between the line and the gun.',
      on: ['grease injector'],
      minutes: 3,
    },
  ]);
}

function adjusted(c: Context): Draft[] {
  return sequence(c, setUp(TAPER), [
    {
      id: 'setup.adjust',
      title: 'Adjust the plug by the bottom screw: free to turn, not lifting',
      why: 'Too tight it galls, too slack it lifts off its film. The screw near its height as found.',
      parts: ['adjusting screw', 'plug'],
      minutes: 8,
    },
    {
      id: 'setup.inject',
      title: 'Inject sealant until it shows, cycling',
      why: 'The grade goes by medium and temperature; the film is the seal.',
      task: { kind: 'do', writes: 'grade and amount of the sealant, and when it is injected next' },
      caution: 'Never put a hand over the injector; the gun gives several thousand psi.',
      consumables: ['plug valve sealant, grade by medium and temperature'],
      tools: ['sealant gun'],
      parts: ['grease injector', 'plug'],
      minutes: 10,
    },
    {
      id: 'setup.effort',
      title: 'What it takes to turn it now, and how its adjusting screw stands',
      why: 'Less than as found, and even all the way: a tight place is a plug pulled too deep.',
      tools: ['torque wrench', 'caliper'],
      parts: ['plug', 'adjusting screw'],
      task: turnedNoHarder(c, TURNED_BY, SCREW),
      minutes: 5,
    },
  ]);
}
