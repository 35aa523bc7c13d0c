import type { Closure } from './closure';
import type { SpringRegulator } from '../features';

/** The trim of a self-acting regulator. */
export const springRegulator: Closure<SpringRegulator> = {
  duty: 'regulate',
  fits: {
    joints: ['screwed-body'],
    seats: ['bead-sealed'],
    motions: ['sliding'],
    heldBy: ['range diaphragm'],
  },
  ratedBy: 'nothing',
  turnedBy: 'stem',
  renewed: ['stem', 'sliding gate', 'regulator plug', 'seat', 'diaphragm'],
  parts: ({ trim }) => [
    'spring seat',
    'diaphragm plates',
    'diaphragm',
    'lower plate',
    trim === 'plug' ? 'regulator plug' : 'sliding gate',
    'return spring',
    'seat',
  ],
};
