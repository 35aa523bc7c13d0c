import type { Mover } from './mover';
import type { SetSpring } from '../features';

/** Pressure, against a set spring. */
export const setSpring: Mover<SetSpring> = {
  name: 'Pressure, against a spring',
  holds: ['spindle'],
  fails: 'opens at its set pressure',
  setBySpring: true,
  spring: {
    how: 'set spring: the compression screw is backed off, counting turns',
    by: ['spring'],
  },
  parts: ({ liftingLever }) => [
    'seal',
    'cap',
    'cap gasket',
    ...(liftingLever ? (['lifting lever'] as const) : []),
    'compression screw',
  ],
};
