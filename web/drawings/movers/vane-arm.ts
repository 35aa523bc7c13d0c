import type { Features } from '@dusk-wren/core/valve';
import type { MoverDrawing } from './mover';
import { positionerBeside } from '../positioners';
import { box, circle, poly, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

export const vaneArm: MoverDrawing = { onShaft: (_, features) => actuator(features) };

/** A vane arm on the shaft end at (230, 0), keyed, with its clevis to a cylinder on the right. */
function actuator(features: Features): Piece {
  return together(
    {
      shapes: [
        shape(
          'vane arm',
          `${poly([218, -10], [242, -10], [238, -84], [222, -84])} ${circle(230, 6, 22)}`,
          'hatch',
        ),
        shape('arm key', box(244, 0, 10, 10), 'solid'),
        shape('arm set screw', box(206, 2, 12, 6), 'solid'),
        shape(
          'clevis',
          `${box(226, -98, 44, 6)} ${box(226, -82, 44, 6)} ${box(264, -92, 8, 10)}`,
          'hatch-back',
        ),
        shape('clevis pin', box(226, -104, 7, 28), 'solid'),
        shape('cotter', box(223, -110, 13, 4), 'solid'),
        shape('clevis nut', box(274, -98, 8, 22), 'solid'),
        shape(
          'actuator',
          `${box(282, -91, 50, 8)} ${box(332, -122, 96, 7)} ${box(332, -59, 96, 7)} ${box(332, -115, 7, 56)} ${box(421, -115, 7, 56)} ${box(352, -115, 10, 56)}`,
          'hatch',
        ),
        shape('indicator plate', `${box(188, -34, 36, 4)} ${box(188, -30, 4, 14)}`, 'solid'),
        shape(
          'air lines',
          `${box(344, -150, 6, 28)} ${box(404, -150, 6, 28)} ${box(344, -154, 66, 6)}`,
          'solid',
        ),
      ],
      touch: { actuator: [400, -118], 'air lines': [380, -151] },
      away: { actuator: 'right', clevis: 'right', 'clevis nut': 'right', 'air lines': 'right' },
    },
    positionerBeside(features, -130),
  );
}
