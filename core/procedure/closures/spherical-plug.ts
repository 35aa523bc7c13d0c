import { SHAFT, shaftGlandOff, shaftIn, shaftOut } from '../blocks/shaft-trim';
import type { Context, Draft } from '../draft';
import { rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { torqued } from '../blocks/torqued';

const TURNED = { part: 'plug', called: 'plug' } as const;

/** A plug on a shaft through a packed box: shaft drawn, plug out through the flange end. */
export const sphericalPlug: ClosureProcedure = {
  proof: { by: 'class' },
  packingFirst: true,
  torques: ['seat retainer'],
  steps: (c) => [...apart(c), ...together(c)],
};

const apart = (c: Context): Draft[] =>
  sequence(c, strip(SHAFT, ['marked', 'actuator off'], 'stem out'), [
    shaftGlandOff,
    {
      id: 'strip.box-ring',
      title: 'Pin out of the bonnet, packing box ring out',
      also: ['packing out'],
      why: 'Under the packing: the pin holds the ring so that the shaft cannot blow out.',
      caution: 'With pressure in the body this pin is all that holds the shaft: prove zero again.',
      off: ['shaft retaining pin', 'packing box ring'],
      minutes: 5,
    },
    shaftOut(TURNED, 'The arms of the plug flex to seat it: do not lever on them.'),
    {
      id: 'strip.seat-ring',
      title: 'Seat retainer out, seat ring and gasket out',
      why: 'The gasket goes to scrap.',
      tools: ['retainer wrench'],
      off: ['seat retainer', 'seat ring', 'seat gasket'],
      minutes: 12,
    },
  ]);

const together = (c: Context): Draft[] =>
  sequence(c, rebuild(SHAFT, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.seat-ring',
      title: 'New seat gasket, seat ring, retainer hand-tight',
      why: 'Left hand-tight until the plug has found its place on it.',
      on: ['seat gasket', 'seat ring', 'seat retainer'],
      minutes: 10,
    },
    shaftIn(TURNED),
    {
      id: 'rebuild.box-ring',
      title: 'Packing box ring and its pin',
      why: 'It is what keeps the shaft in.',
      caution: 'Without the pin the shaft can blow out.',
      on: ['packing box ring', 'shaft retaining pin'],
      minutes: 5,
    },
    {
      id: 'rebuild.seat-centre',
      title: 'Close the plug by hand, then tighten the seat retainer',
      why: 'The plug centres the ring. It turns through 50° and its arms flex: more thrust seats it harder.',
      tools: ['retainer wrench', 'torque wrench'],
      parts: ['plug', 'seat ring', 'seat retainer'],
      task: torqued(c, 'seat retainer'),
      minutes: 8,
    },
  ]);
