import type { Mover } from './mover';

/** A cylinder that turns a shaft by a keyed arm. */
export const vaneArm: Mover = {
  name: 'Cylinder on a vane arm',
  holds: ['clevis', 'quarter turn'],
  byAir: true,
  positioner: 'side',
  element: 'cylinder',
  turns: 'vane',
  parts: () => [
    'air lines',
    'cotter',
    'clevis pin',
    'clevis',
    'clevis nut',
    'arm set screw',
    'vane arm',
    'arm key',
    'indicator plate',
    'actuator',
  ],
};
