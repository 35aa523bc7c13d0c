import type { Closure } from './closure';

/** A disc held on its stem by the backseat retainer. */
export const captiveDisc: Closure = {
  duty: 'shut off',
  fits: {
    joints: ['clamped-yoke'],
    seats: ['integral', 'screwed'],
    motions: ['rising'],
    heldBy: ['wound stem'],
  },
  ratedBy: 'class',
  turnedBy: 'stem',
  packed: true,
  isolatedAs: 'half open',
  usually: { spotting: 'free on a lapping tool', lappingPressure: 'guided tool', bluing: 'straight down' },
  parts: () => ['disc', 'backseat retainer', 'seat'],
  contacts: () => [{ seat: 'seat', closure: 'disc', way: 'grind in' }],
};
