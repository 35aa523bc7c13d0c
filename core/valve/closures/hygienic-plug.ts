import type { Closure } from './closure';

/** A hygienic plug in a clamped body. */
export const hygienicPlug: Closure = {
  duty: 'shut off',
  fits: {
    joints: ['clamps'],
    seats: ['clamped-soft'],
    motions: ['sliding'],
    heldBy: ['hygienic stem'],
  },
  ratedBy: 'nothing',
  turnedBy: 'stem',
  parts: () => ['clamp seat ring', 'plug clip', 'hygienic plug', 'lip seal'],
};
