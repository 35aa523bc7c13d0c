import type { Mover } from './mover';
import type { HygienicCylinder } from '../features';

/** A spring-closed cylinder held by a locking wire. */
export const hygienicCylinder: Mover<HygienicCylinder> = {
  name: 'Spring-closed cylinder',
  holds: ['hygienic stem'],
  fails: 'fails closed by its spring',
  byAir: true,
  element: 'cylinder',
  noBypass: true,
  spring: {
    how: 'clamped spring stack: held by air or in the press before it is freed',
    by: ['spring assembly'],
  },
  parts: ({ size }) => [
    ...(size === 'large' ? (['upper clamp', 'upper clamp seal'] as const) : []),
    'bonnet',
    'bonnet O-rings',
    'air plug',
    'locking wire',
    'cylinder',
    ...(size === 'large'
      ? ([
          'cylinder O-ring',
          'piston guide rings',
          'piston',
          'actuator lip seal',
          'bonnet guide ring',
          'seal retainer',
        ] as const)
      : (['actuator O-rings'] as const)),
    'spring assembly',
  ],
};
