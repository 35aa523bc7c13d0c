import type { Mover } from './mover';
import type { Piston } from '../features';
import { positionerOf } from '../positioners';
import { coupled } from './coupled';

/** Air on both sides of a piston. */
export const piston: Mover<Piston> = {
  name: 'Piston, double acting',
  holds: ['slid stem', 'clevis'],
  fails: 'stays, or goes with the flow',
  byAir: true,
  stem: 'slides',
  positioner: 'side or top',
  element: 'cylinder',
  bothSides: true,
  parts: ({ coupling }, all) => [
    'air lines',
    ...(positionerOf(all)?.onTop ? (['feedback spring', 'positioner', 'positioner O-ring'] as const) : []),
    'actuator',
    'boot',
    'cylinder',
    'piston',
    'piston O-ring',
    'cylinder bushing',
    'cylinder bushing seal',
    'yoke bushing',
    'yoke bushing seal',
    ...coupled(coupling),
  ],
};
