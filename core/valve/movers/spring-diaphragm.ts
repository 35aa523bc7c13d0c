import type { Mover } from './mover';
import type { SpringDiaphragm } from '../features';
import { coupled } from './coupled';

/** Air on a diaphragm against a spring. */
export const springDiaphragm: Mover<SpringDiaphragm> = {
  name: 'Spring diaphragm',
  holds: ['slid stem'],
  byAir: true,
  stem: 'slides',
  positioner: 'side',
  element: 'diaphragm',
  spring: {
    how: 'actuator spring: its adjuster is backed off before the stem is let go',
    by: ['actuator spring'],
  },
  parts: ({ coupling }) => [
    'air lines',
    'actuator',
    'actuator cover',
    'actuator diaphragm',
    'actuator spring',
    'actuator stem seals',
    ...coupled(coupling),
  ],
};
