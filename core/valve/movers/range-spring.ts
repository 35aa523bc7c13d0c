import type { Mover } from './mover';

/** The range spring of a regulator, against its own outlet. */
export const rangeSpring: Mover = {
  name: 'Its own outlet pressure',
  holds: ['range diaphragm'],
  fails: 'its spring opens it',
  setBySpring: true,
  spring: {
    how: 'range spring: screwed fully off before a bolt is loosened',
    by: ['range spring'],
  },
  parts: () => ['adjusting screw', 'range spring'],
};
