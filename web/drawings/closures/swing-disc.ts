import { plainBody, studs } from '../sections/body';
import { both, box, circle, poly, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A hinged disc hanging on a slanted seat under a cover. */
export function swingDisc(): Piece {
  const axis = 136;
  return together(plainBody({ axis, bore: 46, cavity: 96, bottom: 200 }), {
    shapes: [
      shape(
        'seat',
        `${poly([134, axis - 62], [164, axis - 62], [170, axis - 46], [134, axis - 46])} ${poly([134, axis + 46], [180, axis + 46], [184, axis + 62], [134, axis + 62])}`,
        'hatch-back',
      ),
      shape('disc', poly([170, axis - 58], [184, axis - 60], [198, axis + 54], [182, axis + 58]), 'hatch'),
      shape(
        'hinge arm',
        poly(
          [190, axis - 12],
          [210, axis - 10],
          [236, 40],
          [256, 36],
          [256, 22],
          [228, 22],
          [196, axis - 26],
        ),
        'hatch-back',
      ),
      shape('disc nut', box(198, axis - 8, 14, 18), 'solid'),
      shape('nut lock', box(212, axis - 4, 4, 10), 'hatch'),
      shape('hinge bushings', circle(246, 32, 15), 'hatch'),
      shape('hinge pin', circle(246, 32, 8), 'solid'),
      shape('pin plugs', box(326, 26, 16, 12), 'solid'),
      shape('pin plug seals', box(321, 24, 5, 16), 'hatch'),
      shape('shaft packing', box(306, 24, 12, 16), 'cross'),
      shape('outside lever', poly([344, 28], [352, 20], [420, 96], [412, 102]), 'hatch'),
      shape('outside weight', box(400, 92, 34, 34), 'hatch-back'),
      shape('dashpot', `${box(404, 96, 22, 60)} ${box(411, 156, 8, 26)}`, 'hatch-back'),
      ...both(
        'cover',
        poly([94, -22], [230, -22], [230, -4], [140, -4], [140, 6], [128, 6], [128, 0], [94, 0]),
        'hatch-back',
      ),
      ...both('cover gasket', box(130, -1, 18, 5), 'solid'),
      ...studs('cover bolts', 116, -42, 76),
    ],
    touch: { disc: [186, axis + 30], cover: [230, -14], seat: [150, axis + 54], 'hinge arm': [214, 70] },
    away: {
      'shaft packing': 'right',
      'pin plug seals': 'right',
      'outside lever': 'right',
      'outside weight': 'right',
      dashpot: 'right',
      'hinge pin': 'right',
      'pin plugs': 'right',
      seat: 'left',
      disc: 'up',
    },
  });
}
