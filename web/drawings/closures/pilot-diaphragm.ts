import { flowAt } from '../sections/body';
import { both, box, circle, coil, mid, poly, rings, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A solenoid over a pilot orifice and a diaphragm on its main seat. */
export function pilotDiaphragm(): Piece {
  return together(
    {
      shapes: [
        shape(
          'body',
          'M50 60 L66 60 L66 72 L150 72 C160 72 164 60 164 40 L164 14 L130 14 L130 0 L196 0 L196 26 L206 34 L206 104 L196 110 L50 110 Z',
        ),
        shape(
          'body',
          'M410 60 L394 60 L394 72 L310 72 C300 72 296 60 296 40 L296 14 L330 14 L330 0 L264 0 L264 26 L254 34 L254 80 L264 108 L410 108 Z',
        ),
        shape(
          'body',
          'M50 140 L220 140 C244 140 250 120 254 104 L264 108 L270 140 L410 140 L410 176 L394 176 L394 164 L66 164 L66 176 L50 176 Z',
        ),
        shape(
          'diaphragm',
          'M140 -4 L190 -4 C196 -4 198 22 206 22 L254 22 C262 22 264 -4 270 -4 L320 -4 L320 2 L270 2 C262 4 262 30 254 30 L206 30 C198 30 198 4 190 2 L140 2 Z',
          'solid',
        ),
        shape('diaphragm', mid(22, 14, 8), 'hatch'),
        ...both(
          'cover',
          poly([130, -6], [180, -6], [184, -30], [214, -36], [214, -64], [150, -64], [150, -30], [130, -24]),
          'hatch-back',
        ),
        ...both('cover screws', `${box(136, -40, 6, 50)} ${box(131, -46, 16, 8)}`, 'solid'),
        ...rings('cover O-ring', 56, -10, 6),
        ...both(
          'pilot orifice',
          poly([216, -40], [227, -40], [227, -60], [222, -60], [222, -54], [216, -54]),
          'hatch',
        ),
        shape('equalising orifice', `${box(276, -44, 24, 10)} ${circle(288, -39, 3)}`, 'hatch'),
        shape('orifice O-ring', `${circle(278, -48, 3)} ${circle(278, -30, 3)}`, 'solid'),
        ...both('armature', poly([206, -72], [228, -72], [230, -66], [230, -150], [206, -150]), 'hatch'),
        ...rings('armature O-ring', 30, -70, 6),
        ...both('armature screws', `${box(178, -84, 6, 26)} ${box(174, -90, 14, 7)}`, 'solid'),
        ...both(
          'coil',
          `${box(142, -220, 8, 126)} ${box(150, -220, 48, 8)} ${box(150, -102, 48, 8)}`,
          'hatch-back',
        ),
        ...both('coil', box(152, -210, 44, 106), 'cross'),
      ],
      flow: flowAt(124),
      touch: {
        body: [120, 152],
        cover: [170, -30],
        armature: [214, -110],
        coil: [146, -180],
        diaphragm: [300, -1],
        'equalising orifice': [296, -39],
        'pilot orifice': [222, -44],
      },
      away: { 'equalising orifice': 'right' },
    },
    coil('cone spring', 208, -34, 44, 44, 4),
    coil('armature spring', 212, -206, 36, 54, 5),
  );
}
