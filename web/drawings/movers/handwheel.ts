import { both, shape } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A handwheel on its stem, its hub standing on y = 0. */
export function wheel(): Piece {
  return {
    shapes: [
      shape(
        'handwheel',
        'M214 -18 L246 -18 L246 -2 L340 -8 L340 -16 L246 -24 L214 -24 L120 -16 L120 -8 L214 -2 Z',
        'hatch-back',
      ),
      ...both('handwheel', 'M120 -21 C131 -21 131 -3 120 -3 C109 -3 109 -21 120 -21 Z', 'hatch'),
    ],
    touch: { handwheel: [310, -12] },
  };
}
