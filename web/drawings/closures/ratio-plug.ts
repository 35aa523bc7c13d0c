import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from '../sections/body';
import { CX, both, box, coil, mid, poly, rings, shape, threads, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** The lower half of a small globe body, its joint face at y = 0 and its port at y = 96. */
const bowl = (port: number): Piece => ({
  shapes: [
    shape(
      'body',
      `M40 60 L56 60 L56 74 L110 74 C124 74 130 62 134 44 L138 16 L120 16 L120 0 L180 0 L180 30 C176 60 172 76 176 86 L${CX - port} 92 L${CX - port} 108 C160 108 140 100 110 100 L40 100 Z`,
    ),
    shape(
      'body',
      `M420 60 L404 60 L404 74 L350 74 C336 74 330 62 326 44 L322 16 L340 16 L340 0 L280 0 L280 30 C284 66 320 100 360 100 L420 100 Z`,
    ),
    shape(
      'body',
      `M40 140 L104 140 C140 144 160 176 206 178 C250 180 268 156 ${CX + port} 124 L${CX + port} 92 C296 94 306 112 322 128 C334 140 352 140 372 140 L420 140 L420 182 L404 182 L404 168 L376 168 C350 168 336 190 302 202 C262 218 190 218 152 200 C118 184 110 168 84 168 L56 168 L56 182 L40 182 Z`,
    ),
  ],
  flow: flowAt(120),
  touch: { body: [300, 190] },
});

/** The oilfield low-pressure valve: soft seat, oil-filled lower housing, diaphragm stack, spring or none. */
export function ratioPlug({ features }: Valve): Piece {
  const { moved, seat } = features;
  const sprung = 'variant' in moved && moved.variant !== 'double acting';
  const plate = 'springPlate' in moved && moved.springPlate;
  const reduced = seat.kind === 'ported' && seat.port === 'reduced';
  const top = -250;
  return together(
    bowl(reduced ? 24 : 34),
    {
      shapes: [
        ...(reduced
          ? both(
              'port seat',
              poly([196, 86], [212, 86], [212, 116], [204, 116], [204, 96], [196, 96]),
              'hatch-back',
            )
          : []),
        shape(
          'seat disc',
          poly([198, 62], [262, 62], [262, 80], [252, 80], [252, 72], [208, 72], [208, 80], [198, 80]),
          'hatch-back',
        ),
        shape('soft seat', mid(22, 72, 12), 'cross'),
        shape('ratio plug', `${mid(16, 84, 10)} ${mid(7, 94, 20)}`, 'hatch'),
        ...both(
          'lower housing',
          poly(
            [84, -112],
            [150, -96],
            [202, -84],
            [202, -44],
            [208, -44],
            [208, -6],
            [180, -6],
            [180, 8],
            [168, 8],
            [168, 0],
            [120, 0],
            [120, -16],
            [188, -24],
            [188, -70],
            [140, -80],
            [84, -100],
          ),
          'hatch-back',
        ),
        ...both('housing gasket', box(150, -2, 18, 5), 'solid'),
        ...rings('stem O-ring', 13, -26, 8),
        ...both('backup rings', `${box(211, -38, 9, 5)} ${box(211, -19, 9, 5)}`, 'solid'),
        shape('stem', mid(8, -152, 216)),
        shape(
          'diaphragm',
          `M84 -124 L128 -124 C136 -124 138 -112 146 -112 L314 -112 C322 -112 324 -124 332 -124 L376 -124 L376 -118 L332 -118 C326 -118 324 -106 314 -106 L146 -106 C136 -106 134 -118 128 -118 L84 -118 Z`,
          'solid',
        ),
        shape('diaphragm plates', `${mid(80, -122, 9)} ${mid(76, -105, 9)}`, 'hatch'),
        shape('diaphragm nut', mid(16, -134, 11), 'solid'),
        ...both(
          'bonnet',
          `M84 -128 L130 -128 C136 -190 160 ${top + 10} 200 ${top} L230 ${top} L230 ${top - 12} L196 ${top - 12} C150 ${top - 4} 122 -196 118 -140 L84 -140 Z`,
          'hatch-back',
        ),
        ...both(
          'bonnet bolts',
          `${box(94, -152, 6, 54)} ${box(88, -148, 18, 10)} ${box(88, -106, 18, 9)}`,
          'solid',
        ),
        ...(plate ? [shape('spring plate', mid(40, top + 18, 6), 'hatch')] : []),
        ...(sprung
          ? [shape('adjusting screw', `${mid(8, top - 56, 72)} ${mid(16, top - 28, 10)}`, 'hatch')]
          : []),
      ],
      thin: `M196 -72 L264 -72 M200 -66 L216 -66 M244 -66 L260 -66 M206 -60 L222 -60 ${sprung ? threads(222, 238, top - 54, 4, 7) : ''}`,
      touch: {
        'lower housing': [112, -108],
        bonnet: [140, -200],
        diaphragm: [352, -121],
        'diaphragm plates': [170, -118],
        'soft seat': [244, 78],
        'seat disc': [202, 70],
        'ratio plug': [230, 100],
        stem: [230, -10],
      },
      away: { 'port seat': 'up' },
    },
    sprung ? coil('spring', 190, top + 24, 80, 90, 5) : { shapes: [] },
  );
}
