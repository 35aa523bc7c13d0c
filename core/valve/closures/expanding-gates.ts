import type { Closure } from './closure';

/** Two gates that spread against floating seats, all carried in the bonnet. */
export const expandingGates: Closure = {
  duty: 'shut off',
  fits: {
    joints: ['seal-ring-bonnet'],
    seats: ['floating-pair'],
    motions: ['rising and non-rising'],
    heldBy: ['wound stem'],
  },
  ratedBy: 'working pressure',
  turnedBy: 'stem',
  cavity: true,
  isolatedAs: 'closed, its body bled',
  staysInLine: true,
  marks: 'renewed',
  parts: () => ['seat assemblies', 'seat pins', 'inner gate', 'gate pins', 'outer gate'],
};
