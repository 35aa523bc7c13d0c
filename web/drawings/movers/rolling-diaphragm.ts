import type { Features, RollingDiaphragm } from '@dusk-wren/core/valve';
import type { MoverDrawing } from './mover';
import { positionerBeside } from '../positioners';
import { both, box, circle, coil, poly, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

export const rollingDiaphragm: MoverDrawing<RollingDiaphragm> = { onShaft: actuator };

/** A horizontal diaphragm barrel on a lever: the rotary actuator, its lever on the shaft end at (230, 0). */
function actuator({ form }: RollingDiaphragm, features: Features): Piece {
  const across = form === 'barrel across';
  return together(
    {
      shapes: [
        ...both('yoke', 'M150 20 L186 20 L186 34 L164 34 L164 74 L150 74 Z', 'hatch-back'),
        shape(
          'shaft lever',
          `${poly([216, -8], [244, -8], [240, -74], [220, -74])} ${circle(230, 4, 20)}`,
          'hatch',
        ),
        shape(
          'clevis',
          `${box(228, -86, 44, 6)} ${box(228, -70, 44, 6)} ${box(266, -80, 8, 10)}`,
          'hatch-back',
        ),
        shape('clevis pin', box(226, -92, 8, 28), 'solid'),
        shape('clevis nut', box(276, -86, 8, 22), 'solid'),
        shape('actuator', `${box(284, -79, 60, 8)} ${box(342, -112, 10, 74)}`, 'hatch'),
        shape(
          'rolling diaphragm',
          'M352 -110 L362 -110 C372 -110 372 -98 362 -96 L362 -54 C372 -52 372 -40 362 -40 L352 -40 Z',
          'solid',
        ),
        ...(across
          ? [
              shape(
                'spring barrel',
                `${box(362, -116, 70, 7)} ${box(362, -41, 70, 7)} ${box(426, -110, 7, 70)}`,
                'hatch-back',
              ),
              shape('limit stop', box(433, -80, 18, 10), 'solid'),
              shape('actuator handwheel', `${box(120, -79, 96, 8)} ${box(108, -108, 10, 66)}`, 'hatch'),
            ]
          : []),
        shape('front cover', `${box(176, -128, 108, 5)} ${box(176, -123, 5, 30)}`, 'hatch'),
        shape('travel indicator', `${box(196, -22, 4, 34)} ${box(190, -26, 16, 4)}`, 'solid'),
        shape('air lines', `${box(386, -150, 6, 34)} ${box(386, -154, 40, 6)}`, 'solid'),
      ],
      touch: {
        'front cover': [190, -126],
        yoke: [157, 56],
        actuator: [310, -75],
        'air lines': [410, -151],
        'spring barrel': [400, -112],
        'actuator handwheel': [113, -75],
      },
      away: {
        'spring barrel': 'right',
        'rolling diaphragm': 'right',
        actuator: 'right',
        clevis: 'right',
        'clevis nut': 'right',
        'clevis pin': 'up',
        'actuator handwheel': 'left',
        'limit stop': 'right',
        'air lines': 'right',
      },
    },
    across ? coil('spring barrel', 364, -106, 60, 62, 4) : { shapes: [] },
    positionerBeside(features, -130),
  );
}
