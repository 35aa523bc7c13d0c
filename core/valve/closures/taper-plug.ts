import type { Closure } from './closure';

/** A taper plug that turns on a film of sealant. */
export const taperPlug: Closure = {
  duty: 'shut off',
  fits: {
    joints: ['cap-and-plate'],
    seats: ['plug-taper'],
    motions: ['rotary'],
    heldBy: ['square'],
  },
  owns: 'sealant',
  ratedBy: 'class',
  turnedBy: 'stem',
  packed: true,
  gland: ['gland bolts', 'gland'],
  cavity: true,
  isolatedAs: 'half open',
  marks: 'as a pair',
  parts: () => ['stem O-rings', 'plug', 'thrust washer', 'thrust spring'],
};
