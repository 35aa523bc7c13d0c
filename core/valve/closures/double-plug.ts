import type { Closure } from './closure';

/** A plug on two seats, guided top and bottom. */
export const doublePlug: Closure = {
  duty: 'control',
  fits: {
    joints: ['bolted-bonnet'],
    seats: ['double'],
    motions: ['sliding'],
    heldBy: ['slid stem'],
  },
  owns: 'blind head',
  ratedBy: 'class',
  turnedBy: 'stem',
  packed: true,
  guides: 'top and bottom',
  parts: () => ['plug', 'upper guide', 'lower guide', 'upper seat ring', 'lower seat ring'],
  contacts: () => [
    { side: 'upper', seat: 'upper seat ring', closure: 'plug', way: 'grind in' },
    { side: 'lower', seat: 'lower seat ring', closure: 'plug', way: 'grind in' },
  ],
};
