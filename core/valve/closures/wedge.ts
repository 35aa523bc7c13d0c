import type { Closure } from './closure';

/** A wedge pressed between two seats. */
export const wedge: Closure = {
  duty: 'shut off',
  fits: {
    joints: ['bolted-bonnet'],
    seats: ['wedge-pair'],
    motions: ['rising', 'sliding'],
    heldBy: ['wound stem', 'slid stem'],
  },
  ratedBy: 'class',
  turnedBy: 'stem',
  packed: true,
  cavity: true,
  isolatedAs: 'half open',
  marks: 'each face by itself',
  parts: () => ['wedge', 'left seat', 'right seat'],
  contacts: () => [
    { side: 'left', seat: 'left seat', closure: 'wedge', way: 'press home' },
    { side: 'right', seat: 'right seat', closure: 'wedge', way: 'press home' },
  ],
};
