import { phrase } from '../../quantity';
import type { ClampedYoke } from '../../valve';
import { lengthAsk } from '../blocks/asks';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { once, rebuild, repair, sequence, setUp, strip } from '../sequence';
import type { JointProcedure } from './joint';
import { glandTightness } from '../blocks/bolting';
import { measuredBox, oldPackingOut, packing } from '../blocks/packing';
import { stepName } from '../relations';
import { compared, countAsk, taken } from '../blocks/taken';
import { torqued } from '../blocks/torqued';

const SHIMS = stepName('strip.shims');
const COUNT = countAsk('timing shims', '2 pieces');
const YOKE = feature('yoke threaded on the body and clamped, drop-in bonnet chamber');

/** A yoke screwed on the body over a bonnet chamber that drops in: jacked open, unscrewed, packed off the valve. */
export const clampedYoke: JointProcedure<ClampedYoke> = {
  marks: { title: 'Find the mark between body and yoke, or make one', parts: ['clamped yoke', 'body'] },
  identify: {
    id: 'receive.size-code',
    title: 'Read the size code on tag and body',
    why: 'The two must agree: the code picks wrenches, mandrel, refacing tool and parts.',
    because: feature('threaded, clamped yoke'),
    minutes: 3,
  },
  packsItself: true,
  refacedFromThread: true,
  torques: ['yoke', 'yoke clamp bolt'],
  settings: ({ timingShims }) =>
    timingShims ? [lengthAsk('thickness of the timing shims', '0.020 in')] : [],
  steps: (c) => [
    ...glandSlack(c),
    ...unscrewed(c),
    ...measuredBox(c),
    ...lapJoint(c),
    ...together(c),
    ...gland(c),
  ],
};

/** The gland first, and slowly: trapped pressure comes out past the packing before any thread is started. */
function glandSlack(c: Context): Draft[] {
  return sequence(c, strip(YOKE, ['isolated', 'received', 'diagnosed'], 'vented'), [
    {
      id: 'strip.gland-slack',
      title: 'Unlock and loosen the gland, slowly',
      why: 'Valve about half open: what is trapped comes out past the packing.',
      caution: 'Stand aside: this vents trapped pressure.',
      parts: ['gland', 'gland lock', 'gland spring'],
      minutes: 5,
    },
  ]);
}

function unscrewed(c: Context): Draft[] {
  const shims = c.has('timing shims');
  return sequence(c, strip(YOKE, ['marked', 'vented'], 'stem out'), [
    {
      id: 'strip.jack-yoke',
      title: 'Clamp bolt out, in again from the back, and jack the yoke open',
      why: 'Against a hardened washer, or the bolt only marks the far lug.',
      off: ['yoke clamp bolt'],
      tools: ['hardened washer'],
      minutes: 6,
    },
    {
      id: 'strip.yoke-loose',
      title: 'Break the yoke loose and unscrew it with the stem in it',
      why: 'The yoke wrench on its flats; all the way up the body thread.',
      caution: 'Do not drag the internals over the joint seat of the body: one scratch there leaks.',
      tools: ['yoke wrench'],
      parts: ['clamped yoke', 'body'],
      minutes: 10,
    },
    {
      id: 'strip.brush-thread',
      title: 'Wire-brush the stem thread',
      why: 'Dirt in it binds in the bushing on the way out.',
      tools: ['wire brush'],
      parts: ['stem'],
      minutes: 3,
    },
    {
      id: 'strip.handle',
      title: 'Handle off: nut, washer, handle, adapter',
      why: 'The stem then winds out of the yoke.',
      off: ['wheel nut', 'wheel washer', 'handwheel', 'wheel adapter'],
      minutes: 4,
    },
    {
      id: 'strip.stem',
      title: 'Wind the stem out of the yoke; gland spring and wrench, captive under it, come free',
      why: 'If it binds, dress its threads with a triangular file.',
      caution: CAUTIONS.grip,
      off: ['clamped yoke', 'gland spring', 'gland lock'],
      parts: ['stem'],
      minutes: 6,
    },
    shims && {
      id: SHIMS,
      title: 'Timing shims off: count them, keep them together',
      why: 'They set where the gland wrench locks; forgotten, it does not line up.',
      caution: 'They are easily lost in the grease: note how many and how thick.',
      off: ['timing shims'],
      task: taken(COUNT),
      minutes: 2,
    },
    {
      id: 'strip.chamber',
      title: 'Slide the bonnet chamber down off the stem',
      why: 'The gland comes off with it; disc and retainer stay on the stem.',
      off: ['gland', 'bonnet chamber', 'stem', 'disc', 'backseat retainer'],
      minutes: 4,
    },
    {
      id: 'strip.packing',
      ...oldPackingOut(c),
      title: 'Soak, then push the packing out of the chamber',
      why: 'The first ring from above, the rest pushed from the nose end.',
      caution: CAUTIONS.wood,
      tools: ['wooden dowel'],
      off: ['packing'],
      minutes: 15,
    },
  ]);
}

/** The joint seat of the body, when it is scratched. */
function lapJoint(c: Context): Draft[] {
  if (c.calls.get('body')?.verdict !== 'rework') return [];
  return sequence(c, once(repair(feature('joint seat between chamber and body'), [])), [
    {
      id: 'repair.lap-joint-seat',
      title: 'Lap the joint seat, coarse then fine',
      why: 'Only if it is scratched: 120, clean everything, 240.',
      caution: CAUTIONS.compound,
      parts: ['body', 'bonnet chamber'],
      consumables: ['lapping compound 120', 'lapping compound 240'],
      minutes: 15,
    },
  ]);
}

function together(c: Context): Draft[] {
  const shims = c.has('timing shims');
  return sequence(c, rebuild(YOKE, ['box measured', 'stem repaired'], 'closed', 'packed'), [
    {
      id: 'rebuild.pack',
      title: 'Pack the chamber on a mandrel',
      why: 'Braided ring with its slot away from you, compressed; two die-formed rings, each compressed; the last braided ring with its slot 180° from the first, compressed.',
      caution: 'Gloves: skin oil harms the rings.',
      tools: ['packing mandrel'],
      consumables: ['two braided end rings, two die-formed rings'],
      on: ['packing'],
      task: packing(c),
      minutes: 15,
    },
    {
      id: 'rebuild.chamber',
      title: 'Packed chamber over the stem, packing sleeve in place',
      why: 'The sleeve carries the rings over the thread without cutting them.',
      tools: ['packing sleeve'],
      on: ['bonnet chamber', 'gland', 'stem', 'disc', 'backseat retainer'],
      minutes: 5,
    },
    shims && {
      id: 'rebuild.shims',
      title: 'Timing shims on top, with anti-seize',
      why: 'As many as came off.',
      caution: 'Forgotten shims: the gland wrench no longer locks where it should.',
      on: ['timing shims'],
      task: compared(SHIMS, COUNT),
      consumables: ['nickel anti-seize'],
      minutes: 3,
    },
    {
      id: 'rebuild.yoke-on-stem',
      title: 'Stem into the yoke about half way; anti-seize on every thread but the stem’s',
      why: 'Gland as slack as it will go, stem at mid-travel: the packing is not crushed and the stem is not driven on its seat.',
      caution: 'No anti-seize on the stem thread: it is carried into the packing.',
      parts: ['stem', 'gland'],
      consumables: ['nickel anti-seize'],
      minutes: 6,
    },
    {
      id: 'rebuild.yoke-torque',
      title: 'Gland spring and wrench under it, screw the yoke on; torque at least to the match mark',
      why: 'To the mark or slightly past: short of it the joint seat is not loaded.',
      caution: `Stem at mid-travel, never on its seat. ${CAUTIONS.cheater}`,
      tools: ['yoke wrench', 'torque wrench'],
      on: ['clamped yoke', 'gland spring', 'gland lock'],
      parts: ['body'],
      task: torqued(c, 'yoke'),
      minutes: 10,
    },
    {
      id: 'rebuild.clamp-bolt',
      title: 'Clamp bolt back to the right side, and tight',
      why: 'From the back it spreads the yoke instead of clamping it.',
      on: ['yoke clamp bolt'],
      tools: ['torque wrench'],
      task: torqued(c, 'yoke clamp bolt'),
      minutes: 3,
    },
    {
      id: 'rebuild.handle',
      title: 'Adapter, handle, washer, nut',
      why: 'In that order.',
      on: ['wheel adapter', 'handwheel', 'wheel washer', 'wheel nut'],
      minutes: 4,
    },
  ]);
}

function gland(c: Context): Draft[] {
  return sequence(c, setUp(YOKE), [
    {
      id: 'setup.open',
      title: 'Open fully',
      why: 'Light on the backseat is enough: pressure helps it.',
      caution: 'Over-torque on the backseat cracks its retainer.',
      parts: ['stem', 'backseat retainer'],
      minutes: 2,
    },
    {
      id: 'setup.gland',
      provides: ['gland set'],
      title: 'Gland to its figure, three full strokes; three times more',
      why: phrase`Each set of strokes settles the rings and the figure falls. ${glandTightness(c)}`,
      caution: 'A valve for full open or full closed: throttling with it wire-draws the seat.',
      tools: ['torque wrench'],
      parts: ['gland', 'packing'],
      minutes: 12,
    },
    {
      id: 'setup.lock-gland',
      title: 'Lock the gland wrench',
      why: 'An unlocked gland backs off with the heat.',
      parts: ['gland spring', 'gland lock'],
      minutes: 2,
    },
  ]);
}
