import { relay } from './relay';
import { both, coil, rings, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A force-balance positioner sealed to the top of its cylinder. */
export function onCylinder(): Piece {
  return together(
    {
      shapes: [
        ...both(
          'positioner',
          'M160 -262 L230 -262 L230 -254 L168 -254 L168 -196 L222 -196 L222 -188 L160 -188 Z',
          'hatch',
        ),
        ...rings('positioner O-ring', 60, -190, 6),
        ...relay(250, -252),
      ],
      touch: { positioner: [164, -230] },
    },
    coil('feedback spring', 222, -250, 16, 52, 5),
  );
}
