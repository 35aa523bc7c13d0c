import type { Closure } from './closure';
import type { Features } from '../features';

const onRing = ({ seat }: Features): boolean => seat.kind === 'clamped-ring';

/** A disc that swivels on its stem and finds its own seat. */
export const swivelDisc: Closure = {
  duty: 'shut off',
  fits: {
    joints: ['bolted-bonnet'],
    seats: ['screwed', 'integral', 'clamped-ring'],
    motions: ['rising', 'sliding'],
    heldBy: ['wound stem', 'slid stem'],
  },
  ratedBy: 'class',
  turnedBy: 'stem',
  packed: true,
  discNut: true,
  parts: (_, all) => [
    'disc',
    ...(onRing(all) ? (['seat ring', 'seat gasket'] as const) : (['seat'] as const)),
  ],
  contacts: (_, all) => [{ seat: onRing(all) ? 'seat ring' : 'seat', closure: 'disc', way: 'grind in' }],
};
