import type { Closure } from './closure';

/** A ball placed in a venturi by a cage; the flow seats it. */
export const ballInCage: Closure = {
  duty: 'control',
  fits: {
    joints: ['bolted-bonnet'],
    seats: ['cartridge'],
    motions: ['sliding'],
    heldBy: ['slid stem'],
  },
  owns: 'position-seated limit',
  ratedBy: 'class',
  turnedBy: 'stem',
  packed: true,
  guides: 'cage',
  marks: 'ball renewed',
  parts: () => [
    'ball',
    'ball cage',
    'cartridge',
    'seat gaskets',
    'guide pin',
    'guide pin gasket',
    'wear bushings',
    'bushing gaskets',
  ],
};
