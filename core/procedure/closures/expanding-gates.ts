import { phrase, quantity } from '../../quantity';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { stepName } from '../relations';
import { rebuild, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { boltUp } from '../blocks/bolting';
import { lipSealsIn, lipSealsOut } from '../blocks/lip-seals';
import { torqued } from '../blocks/torqued';

const UNIT = feature('internals carried in the bonnet');

/** Expanding gates and seats carried in a bonnet that lifts off whole; the body stays in the line. */
export const expandingGates: ClosureProcedure = {
  proof: {
    by: 'working pressure',
    how: 'At rated pressure from each side in turn, the other side open and looked at; down to zero between, and each side again.',
    parts: ['outer gate', 'inner gate', 'seat assemblies'],
  },
  torques: ['packing gland', 'bearing cap'],
  steps: (c) => [...lifted(c), ...bench(c), ...together(c), ...greased(c)],
};

/** Outer gate and stem stay pinned together unless one of them is renewed. */
const gateComesOff = ({ calls }: Context): boolean =>
  (['outer gate', 'stem', 'gate pins'] as const).some((part) => {
    const call = calls.get(part);
    return call?.verdict === 'renew' && call.because.length > 0;
  });

const GATES_OUT = stepName('strip.extend-gates');

function lifted(c: Context): Draft[] {
  return sequence(c, strip(UNIT, ['marked']), [
    {
      id: 'strip.bonnet-nuts',
      title: 'Bonnet nuts off in opposing pairs, two opposing last',
      why: 'Two opposing nuts hold it if anything is still pushing.',
      caution: CAUTIONS.slack,
      off: ['bonnet studs'],
      minutes: 12,
    },
    {
      id: 'strip.lift',
      title: 'Lift straight and aligned until everything is clear',
      why: 'Gates and seats stay in the bonnet recess and come with it; the body stays in the line.',
      caution: CAUTIONS.lift,
      tools: ['sling'],
      off: ['bonnet'],
      minutes: 10,
    },
    {
      id: 'strip.lay-down',
      title: 'Lay it on its side',
      why: 'On wood, the recess where you can reach it.',
      parts: ['bonnet'],
      minutes: 3,
    },
    {
      id: GATES_OUT,
      title: 'Support gate and seats; wind until they extend out of the recess; seats off',
      why: 'Held, or they drop. Lay everything out in order.',
      caution: 'Guard the lapped faces: face up, on a clean cloth.',
      off: ['seat assemblies', 'seat pins', 'inner gate'],
      minutes: 10,
    },
  ]);
}

function bench(c: Context): Draft[] {
  const locked = c.has('lock ring');
  return sequence(c, strip(UNIT, [GATES_OUT], 'stem out'), [
    {
      id: 'strip.seal-ring',
      title: locked ? 'Lock ring out, seal ring off' : 'Seal ring off',
      why: locked
        ? 'At the lower ratings a lock ring holds it.'
        : phrase`At ${quantity('gauge pressure', 10_000, 'psig')} and up the seats hold it.`,
      off: locked ? ['lock ring', 'bonnet seal ring'] : ['bonnet seal ring'],
      minutes: 4,
    },
    {
      id: 'strip.wheel-cap',
      title: 'Handwheel, bearing cap, O-ring, outer bearing',
      why: 'In that order, laid out in that order.',
      off: ['handwheel', 'bearing cap', 'cap O-ring', 'outer bearing'],
      minutes: 10,
    },
    {
      id: 'strip.shear-pin',
      title: 'Drive the shear pin out',
      why: 'It joins the upper stem to the stem.',
      tools: ['pin punch'],
      off: ['shear pin'],
      minutes: 4,
    },
    {
      id: 'strip.upper-stem',
      title: 'Upper stem out, inner bearing',
      why: 'The second set of bearing and race lies under it.',
      off: ['upper stem', 'inner bearing'],
      minutes: 5,
    },
    {
      id: 'strip.packing-gland',
      title: 'Packing gland out',
      why: 'It holds the stem packings down.',
      off: ['packing gland'],
      minutes: 5,
    },
    {
      id: 'strip.stem',
      title: 'Stem out through the bottom',
      why: 'With the outer gate on it.',
      caution: 'A soft hammer only, on the end of the stem.',
      tools: ['soft hammer'],
      off: ['stem'],
      minutes: 6,
    },
    gateComesOff(c) && {
      id: 'strip.outer-gate',
      title: 'Retainer pins out, knurled end first; outer gate off',
      why: 'Gate or stem is renewed: else they stay together.',
      caution:
        'Knurled end first: the other way the knurl broaches the hole and the pin is never tight again.',
      tools: ['pin punch'],
      off: ['gate pins', 'outer gate'],
      minutes: 8,
    },
    lipSealsOut('strip.packings', 'lip seals'),
  ]);
}

function together(c: Context): Draft[] {
  const locked = c.has('lock ring');
  return sequence(c, rebuild(UNIT, ['stem repaired'], 'closed', 'packed'), [
    {
      id: 'rebuild.coat',
      title: 'Coat every part with the service-rated lubricant',
      why: 'Rated for the gas and the temperature: another washes out.',
      consumables: ['service-rated lubricant'],
      parts: ['stem', 'outer gate', 'inner gate', 'seat assemblies'],
      minutes: 6,
    },
    lipSealsIn(c, 'rebuild.packings', 'lip seals'),
    {
      id: 'rebuild.packing-gland',
      title: 'Packing gland in, to torque',
      why: 'The figure is on the maker’s sheet.',
      tools: ['torque wrench'],
      on: ['packing gland'],
      task: torqued(c, 'packing gland'),
      minutes: 5,
    },
    gateComesOff(c) && {
      id: 'rebuild.outer-gate',
      title: 'Outer gate on the rising stem, retainer pins in, knurled end last',
      why: 'The knurl grips in the last of the hole.',
      caution: 'Knurled end last.',
      on: ['outer gate', 'gate pins'],
      minutes: 6,
    },
    {
      id: 'rebuild.stem-in',
      title: 'Stems together, up through the packing',
      why: 'Turned as it passes the lips.',
      caution: 'The thread must not cut the lips: sleeve or tape over it.',
      on: ['stem'],
      minutes: 6,
    },
    {
      id: 'rebuild.upper-stem',
      title: 'Bearing, upper stem, new shear pin flush',
      why: 'Proud, it locks in the bearing; a safety part, so always new and the maker’s.',
      caution: 'Only the maker’s pin: never a nail, a welding rod or a bolt.',
      on: ['inner bearing', 'upper stem', 'shear pin'],
      minutes: 6,
    },
    {
      id: 'rebuild.cap',
      title: 'Outer bearing, O-ring, bearing cap to torque; then the handwheel',
      why: 'The cap carries the whole stem thrust.',
      tools: ['torque wrench'],
      on: ['outer bearing', 'cap O-ring', 'bearing cap', 'handwheel'],
      task: torqued(c, 'bearing cap'),
      minutes: 10,
    },
    {
      id: 'rebuild.seal-ring',
      title: locked ? 'New seal ring and lock ring' : 'New seal ring, held by the seats',
      why: 'Wiped dry of grit: it seals metal to metal.',
      on: locked ? ['bonnet seal ring', 'lock ring'] : ['bonnet seal ring'],
      minutes: 4,
    },
    {
      id: 'rebuild.gates',
      title: 'Extend the outer gate, inner gate in, seats on with pins in the recess holes',
      why: 'The alignment pins keep the ports in line.',
      caution: 'Guard the lapped faces.',
      on: ['inner gate', 'seat assemblies', 'seat pins'],
      minutes: 10,
    },
    {
      id: 'rebuild.wind-closed',
      title: 'Support, and wind closed, pins engaged',
      why: 'Until the whole stack is back in the recess.',
      caution: 'Fingers out from between gate and bonnet.',
      parts: ['outer gate', 'inner gate', 'seat assemblies'],
      minutes: 5,
    },
    {
      id: 'rebuild.bonnet-on',
      title: 'Lower over the studs, two bonnet holes on the body pins',
      why: 'Straight and aligned all the way, marks meeting.',
      caution: CAUTIONS.lift,
      tools: ['sling'],
      on: ['bonnet'],
      minutes: 10,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Nuts snug in opposing pairs, then to torque in opposing pairs',
      why: 'The seal ring is loaded evenly.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['bonnet studs'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 25,
    },
  ]);
}

function greased(c: Context): Draft[] {
  return sequence(c, setUp(feature('body cavity filled with grease')), [
    {
      id: 'setup.cavity',
      title: 'Fill the body cavity with grease through the bonnet while cycling',
      why: 'The cavity is full when it pushes back; grease is what keeps grit off the faces. How often follows its use.',
      task: { kind: 'do', writes: 'grease it took, and when it is greased next' },
      caution: 'The fitting holds pressure: its check must be sound before the gun comes off.',
      consumables: ['body cavity grease'],
      tools: ['grease gun'],
      parts: ['grease fitting'],
      minutes: 15,
    },
    {
      id: 'setup.bearings',
      title: 'Grease the bearings',
      why: 'Through their own fitting.',
      consumables: ['bearing grease'],
      parts: ['outer bearing', 'inner bearing'],
      minutes: 3,
    },
    {
      id: 'setup.stroke',
      title: 'Wind open, closed and open again; back off a quarter turn',
      why: 'Smooth all the way; the gates expand only at the ends.',
      parts: ['handwheel'],
      minutes: 5,
    },
  ]);
}
