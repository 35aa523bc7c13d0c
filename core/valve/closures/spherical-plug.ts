import type { Closure } from './closure';

/** A spherical plug that turns on to its seat ring. */
export const sphericalPlug: Closure = {
  duty: 'control',
  fits: {
    joints: ['shaft-box'],
    seats: ['retained-ring'],
    motions: ['rotary'],
    heldBy: ['shaft lever'],
  },
  ratedBy: 'class',
  turnedBy: 'shaft',
  packed: true,
  reachedOutOfLine: 'its plug and seat come out through the flange end',
  parts: () => [
    'packing box ring',
    'shaft retaining pin',
    'shaft bushes',
    'plug',
    'seat retainer',
    'seat ring',
    'seat gasket',
  ],
  contacts: () => [{ seat: 'seat ring', closure: 'plug', way: 'grind in' }],
};
