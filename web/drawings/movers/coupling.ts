import type { Features } from '@dusk-wren/core/valve';
import { both, box, mid, shape, threads } from '../sections/kit';
import type { Piece } from '../sections/section';

/** The coupling between two stems, standing on y = 0 and 60 tall. */
export function coupling({ moved }: Features): Piece {
  if (!('coupling' in moved)) return { shapes: [] };
  const indicator = shape('travel indicator', `${mid(26, 34, 4)} ${box(276, 18, 3, 38)}`, 'solid');
  if (moved.coupling === 'split') {
    return {
      shapes: [
        ...both('split coupler', box(212, 8, 14, 34), 'hatch'),
        shape('coupler nut', mid(16, 42, 8), 'solid'),
        indicator,
      ],
      thin: threads(222, 238, 8, 5),
      touch: { 'travel indicator': [277, 24] },
    };
  }
  return {
    shapes: [shape('stem lock nuts', `${mid(14, 16, 7)} ${mid(14, 25, 7)}`, 'solid'), indicator],
    thin: threads(224, 236, 0, 10),
    touch: { 'travel indicator': [277, 24] },
  };
}
