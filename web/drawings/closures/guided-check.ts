import { studs } from '../sections/body';
import { both, box, coil, mid, poly, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** Pump protection: a guided disc under a spring, the bypass insert and its bushing below. */
export function guidedCheck(): Piece {
  return together(
    {
      shapes: [
        ...both(
          'body',
          poly(
            [150, 0],
            [176, 0],
            [176, 60],
            [164, 118],
            [188, 128],
            [188, 150],
            [150, 150],
            [150, 236],
            [178, 236],
            [178, 300],
            [130, 300],
            [130, 280],
            [136, 280],
            [136, 40],
            [96, 22],
            [96, 0],
          ),
        ),
        shape('body', poly([310, 186], [420, 186], [420, 172], [310, 172]), 'hatch'),
        shape('body', poly([310, 222], [420, 222], [420, 236], [310, 236]), 'hatch'),
        ...both('seat', poly([188, 128], [196, 128], [204, 140], [204, 150], [188, 150]), 'hatch-back'),
        shape(
          'check disc',
          poly([204, 44], [256, 44], [256, 92], [284, 118], [270, 134], [190, 134], [176, 118], [204, 92]),
          'hatch-back',
        ),
        ...both('guide rings', box(198, 50, 8, 10), 'solid'),
        ...both('guide rings', box(198, 212, 8, 10), 'solid'),
        shape(
          'bypass insert',
          `${box(206, 134, 12, 120)} ${box(242, 134, 12, 120)} ${mid(24, 254, 10)}`,
          'hatch',
        ),
        shape(
          'vortex bushing',
          `${poly([256, 190], [308, 190], [308, 200], [270, 200], [270, 210], [308, 210], [308, 220], [256, 220])}`,
          'hatch-back',
        ),
        ...both(
          'cover',
          poly([96, -26], [230, -26], [230, -2], [206, -2], [206, 14], [180, 14], [180, 0], [96, 0]),
          'hatch-back',
        ),
        ...both('cover gasket', box(152, -2, 22, 5), 'solid'),
        ...studs('cover bolts', 114, -46, 76),
      ],
      flow: 'M230 330 L230 278 L224 288 M230 278 L236 288 M330 204 L400 204 L390 198 M400 204 L390 210',
      touch: {
        body: [143, 200],
        'check disc': [230, 110],
        cover: [230, -16],
        'bypass insert': [212, 240],
        'vortex bushing': [290, 195],
      },
      away: { 'vortex bushing': 'right', 'bypass insert': 'down' },
    },
    coil('spring', 200, 0, 60, 44, 4),
  );
}
