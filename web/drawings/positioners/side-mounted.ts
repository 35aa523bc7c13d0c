import { relay } from './relay';
import { CX, box, shape } from '../sections/kit';
import type { Piece } from '../sections/section';

/** Positioner on the side of the yoke. */
export function sideMounted(dx: number): Piece {
  const x = CX + dx - 46;
  return {
    shapes: [
      shape(
        'positioner',
        `${box(x, -34, 76, 6)} ${box(x, 30, 76, 6)} ${box(x, -28, 6, 58)} ${box(x + 70, -28, 6, 58)}`,
        'hatch',
      ),
      ...relay(x + 12, -22),
    ],
    touch: { positioner: [x + 3, 0] },
    away: {
      positioner: 'left',
      'relay body': 'left',
      'relay diaphragms': 'left',
      'inner valve': 'left',
      'relay O-rings': 'left',
      'relay gasket': 'left',
      flappers: 'left',
    },
  };
}
