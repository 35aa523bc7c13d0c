import type { Closure } from './closure';
import type { BalancedPlug } from '../features';

/** A plug balanced by seal rings in a cage, all hanging on the bonnet. */
export const balancedPlug: Closure<BalancedPlug> = {
  duty: 'control',
  fits: {
    joints: ['bolted-bonnet'],
    seats: ['clamped-ring'],
    motions: ['sliding'],
    heldBy: ['slid stem'],
  },
  owns: 'balancing seal rings',
  ratedBy: 'class',
  turnedBy: 'stem',
  packed: true,
  guides: 'cage',
  set: ['plug', 'plug pin', 'stem'],
  parts: ({ facing }) => [
    'guide',
    'guide gasket',
    'cage',
    'plug pin',
    'plug',
    'plug seals',
    ...(facing === 'soft insert'
      ? (['insert screw', 'insert retainer', 'soft insert', 'insert O-ring'] as const)
      : []),
    'seat ring',
    'seat gasket',
  ],
  contacts: ({ facing }) =>
    facing === 'metal' ? [{ seat: 'seat ring', closure: 'plug', way: 'grind in' }] : [],
};
