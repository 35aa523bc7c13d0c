import type { MoverDrawing } from './mover';
import { box, mid, poly, shape } from '../sections/kit';
import type { Piece } from '../sections/section';

export const lever: MoverDrawing = { onShaft: handLever };

/** A plain lever on a square, its boss at (230, 0). */
function handLever(): Piece {
  return {
    shapes: [
      shape(
        'lever',
        `${mid(20, -14, 14)} ${poly([250, -14], [440, -34], [440, -24], [250, -2])}`,
        'hatch-back',
      ),
      shape('lever nut', mid(11, -26, 11), 'solid'),
      shape('lever lock', box(296, -40, 26, 12), 'hatch'),
    ],
    touch: { lever: [380, -22] },
  };
}
