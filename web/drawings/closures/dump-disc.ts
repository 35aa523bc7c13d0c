import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from '../sections/body';
import { both, box, circle, mid, poly, shape } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A dump valve: diaphragm housing over a reversible seat, a weight on its lever, a drip pot. */
export function dumpDisc({ features }: Valve): Piece {
  const small = 'sizes' in features.moved && features.moved.sizes === '2-3 in';
  return {
    shapes: [
      shape(
        'body',
        'M40 120 L56 120 L56 134 L108 134 L120 30 L92 30 L92 12 L180 12 L180 30 L150 30 L140 150 L180 166 L196 166 L196 182 C150 182 120 160 96 160 L40 160 Z',
      ),
      shape(
        'body',
        'M368 12 L280 12 L280 30 L310 30 L326 120 L404 120 L404 106 L420 106 L420 146 L310 146 L290 150 L280 166 L264 166 L264 250 L296 250 L296 266 L164 266 L164 250 L196 250 L196 182 L196 166 L204 166 L204 250 L250 250 L250 166 L280 160 L296 140 Z',
      ),
      ...both(
        'removable seat',
        poly([192, 150], [212, 150], [212, 180], [204, 180], [204, 162], [192, 162]),
        'hatch-back',
      ),
      shape('dump disc', mid(34, 132, 10), 'hatch-back'),
      shape('reversible seat', mid(32, 142, 9), 'cross'),
      shape('ratio plug', mid(18, 151, 12), 'hatch'),
      shape('diaphragm plate', mid(60, 60, 8), 'hatch'),
      shape(
        'diaphragm',
        'M96 8 L130 8 C140 30 150 68 172 70 L288 70 C310 68 320 30 330 8 L364 8 L364 13 L334 13 C324 38 314 75 290 76 L170 76 C146 75 136 38 126 13 L96 13 Z',
        'solid',
      ),
      shape('pivot', `${mid(7, 76, 58)}`, 'hatch'),
      ...both(
        'housing',
        poly(
          [92, 6],
          [128, 6],
          [136, -60],
          [210, -76],
          [210, -104],
          [230, -104],
          [230, -120],
          [150, -120],
          [150, -88],
          [120, -70],
          [112, -12],
          [92, -12],
        ),
        'hatch-back',
      ),
      ...both('housing bolts', `${box(98, -26, 6, 60)} ${box(92, -22, 18, 10)}`, 'solid'),
      shape('lifting rings', `${circle(132, -96, 9)} ${circle(328, -96, 9)}`, 'outline'),
      shape('stem', mid(7, -206, 270)),
      shape('stem pin', box(216, 46, 28, 5), 'solid'),
      shape(
        'upper diaphragm',
        'M164 -124 L200 -124 C208 -124 210 -132 216 -132 L244 -132 C250 -132 252 -124 260 -124 L296 -124 L296 -119 L260 -119 C250 -119 248 -127 244 -127 L216 -127 C210 -127 208 -119 200 -119 L164 -119 Z',
        'solid',
      ),
      shape('diaphragm retainer', mid(18, -140, 7), 'hatch'),
      shape('diaphragm bolt', mid(11, -152, 12), 'solid'),
      ...both(
        'bonnet',
        poly(
          [150, -122],
          [166, -122],
          [166, -236],
          [230, -236],
          [230, -250],
          [150, -250],
          [150, -150],
          [134, -150],
          [134, -122],
        ),
        'hatch-back',
      ).slice(0, 1),
      shape(
        'bonnet',
        poly([310, -122], [294, -122], [294, -186], [310, -186], [310, -150], [326, -150], [326, -122]),
        'hatch-back',
      ),
      shape(
        'bonnet',
        poly([230, -236], [294, -236], [294, -222], [310, -222], [310, -250], [230, -250]),
        'hatch-back',
      ),
      ...both('bonnet gasket', box(140, -124, 22, 5), 'solid'),
      ...both('bonnet bolts', `${box(138, -172, 6, 56)} ${box(132, -168, 18, 10)}`, 'solid'),
      shape('trunnion hub', `${circle(230, -204, 16)} ${box(222, -190, 16, 20)}`, 'hatch'),
      shape('link pin', circle(230, -180, 5), 'solid'),
      shape('snap rings', `${box(219, -183, 4, 8)} ${box(237, -183, 4, 8)}`, 'solid'),
      shape('shaft', box(230, -209, 150, 10), 'hatch-back'),
      shape('shaft bushings', `${box(296, -215, 16, 6)} ${box(296, -199, 16, 6)}`, 'solid'),
      shape('trunnion plug', `${box(310, -224, 22, 12)} ${box(310, -196, 22, 12)}`, 'hatch'),
      ...(small
        ? [shape('trunnion O-ring', `${circle(308, -226, 4)} ${circle(308, -182, 4)}`, 'solid')]
        : [
            shape('trunnion gasket', `${box(305, -228, 5, 12)} ${box(305, -190, 5, 12)}`, 'solid'),
            shape('packing follower', `${box(354, -218, 8, 8)} ${box(354, -198, 8, 8)}`, 'hatch-back'),
          ]),
      shape('shaft O-rings', `${circle(320, -212, 3)} ${circle(320, -196, 3)}`, 'solid'),
      shape('shaft thrust washer', `${box(332, -216, 4, 8)} ${box(332, -200, 4, 8)}`, 'solid'),
      shape('stuffing box', `${box(336, -222, 18, 10)} ${box(336, -196, 18, 10)}`, 'hatch-back'),
      shape('packing ring', `${box(340, -212, 12, 4)} ${box(340, -199, 12, 4)}`, 'cross'),
      shape('shaft nut', box(362, -216, 8, 24), 'solid'),
      shape('lever hub', box(374, -220, 18, 34), 'hatch'),
      shape('lever', poly([382, -204], [392, -204], [440, -72], [430, -68]), 'hatch-back'),
      shape('weight', `M404 -96 L448 -96 L454 -44 L412 -44 Z`, 'hatch'),
      shape(
        'drip pot',
        `${box(60, -206, 40, 6)} ${box(60, -140, 40, 6)} ${box(60, -200, 6, 60)} ${box(94, -200, 6, 60)} ${box(100, -190, 50, 6)}`,
        'hatch',
      ),
      shape('needle valve', `${box(74, -134, 12, 18)} ${box(68, -116, 24, 5)}`, 'solid'),
    ],
    flow: flowAt(176),
    touch: {
      body: [130, 60],
      housing: [124, -40],
      bonnet: [158, -200],
      diaphragm: [346, 10],
      lever: [410, -130],
      weight: [430, -70],
      stem: [230, -60],
      'trunnion plug': [320, -218],
      'drip pot': [63, -170],
      'stuffing box': [345, -217],
    },
    away: {
      lever: 'right',
      weight: 'right',
      'lever hub': 'right',
      shaft: 'right',
      'shaft nut': 'right',
      'stuffing box': 'right',
      'packing ring': 'right',
      'packing follower': 'right',
      'trunnion plug': 'right',
      'trunnion O-ring': 'right',
      'trunnion gasket': 'right',
      'shaft bushings': 'right',
      'shaft O-rings': 'right',
      'shaft thrust washer': 'right',
      'drip pot': 'left',
      'needle valve': 'left',
    },
  };
}
