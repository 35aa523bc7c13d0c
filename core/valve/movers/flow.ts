import type { Mover } from './mover';

/** Nothing but the flow. */
export const flow: Mover = {
  name: 'The flow',
  holds: ['nothing'],
  fails: 'shuts when the flow turns',
  parts: () => [],
};
