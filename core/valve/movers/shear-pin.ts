import type { Mover } from './mover';

/** Pressure, until a pin shears. */
export const shearPin: Mover = {
  name: 'Pressure, against a pin',
  holds: ['pinned stem'],
  fails: 'opens, and stays open',
  parts: () => ['safety cover', 'shear pin', 'stem pin'],
};
