import type { SpringDiaphragm } from '@dusk-wren/core/valve';
import type { MoverDrawing } from './mover';
import { positionerBeside } from '../positioners';
import { both, box, coil, mid, rings, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

export const springDiaphragm: MoverDrawing<SpringDiaphragm> = {
  onStem: ({ action }, features) => ({
    piece: together(casing(action === 'air-to-open'), positionerBeside(features, -150)),
    height: 196,
  }),
};

/** A casing with a diaphragm and a spring over the yoke; the spring above where air opens, below where it closes. */
function casing(airOpens: boolean): Piece {
  const spring = airOpens
    ? coil('actuator spring', 192, -186, 76, 66, 5)
    : coil('actuator spring', 192, -96, 76, 62, 5);
  const middle = -112;
  return together(
    {
      shapes: [
        shape('stem connector', mid(10, -8, 22), 'solid'),
        ...both(
          'actuator',
          `M110 ${middle + 4} L96 ${middle + 4} L96 ${middle + 12} L124 ${middle + 12} C130 -70 160 -40 206 -34 L206 -14 L214 -14 L214 -44 C170 -48 140 -76 134 ${middle + 4} Z`,
          'hatch',
        ),
        ...both(
          'actuator cover',
          `M96 ${middle - 12} L124 ${middle - 12} C130 -168 160 -194 214 -198 L230 -198 L230 -190 C174 -188 140 -164 134 ${middle - 4} L96 ${middle - 4} Z`,
          'hatch-back',
        ),
        shape(
          'actuator diaphragm',
          `M98 ${middle - 4} L150 ${middle - 4} C158 ${middle - 4} 160 ${middle - 2} 164 ${middle - 2} L296 ${middle - 2} C300 ${middle - 2} 302 ${middle - 4} 310 ${middle - 4} L362 ${middle - 4} L362 ${middle + 4} L310 ${middle + 4} C300 ${middle + 4} 298 ${middle + 5} 294 ${middle + 5} L166 ${middle + 5} C160 ${middle + 5} 158 ${middle + 4} 150 ${middle + 4} L98 ${middle + 4} Z`,
          'solid',
        ),
        shape('actuator', mid(5, middle + 5, 100), 'hatch'),
        ...rings('actuator stem seals', 9, -24, 6),
        shape(
          'air lines',
          `${box(80, airOpens ? -70 : -176, 60, 6)} ${box(74, airOpens ? -76 : -182, 8, 18)}`,
          'solid',
        ),
      ],
      touch: {
        actuator: [140, -62],
        'actuator cover': [150, -176],
        'actuator diaphragm': [330, middle],
        'air lines': [84, airOpens ? -67 : -173],
      },
    },
    spring,
  );
}
