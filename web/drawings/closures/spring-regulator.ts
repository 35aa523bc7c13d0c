import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from '../sections/body';
import { both, box, coil, mid, poly, shape, threads, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A regulator: range spring over a diaphragm, the body screwed on its bottom cap. */
export function springRegulator({ features }: Valve): Piece {
  const gate = 'trim' in features.closure && features.closure.trim === 'sliding gate';
  return together(
    {
      shapes: [
        shape(
          'body',
          'M60 44 L140 44 L140 0 L96 0 L96 -14 L206 -14 L206 40 L200 50 L200 60 L60 60 Z M60 92 L172 92 L172 66 L180 66 L180 108 L60 108 Z',
        ),
        shape(
          'body',
          'M400 44 L320 44 L320 0 L364 0 L364 -14 L254 -14 L254 40 L260 50 L260 60 L400 60 Z M400 92 L288 92 L288 66 L280 66 L280 108 L400 108 Z',
        ),
        ...both('body', box(140, 108, 20, 48)),
        ...both(
          'bottom cap',
          poly([128, 110], [140, 110], [140, 168], [230, 168], [230, 184], [128, 184]),
          'hatch-back',
        ),
        ...both('seat', poly([200, 66], [222, 66], [222, 84], [206, 84], [206, 76], [200, 76]), 'hatch-back'),
        shape(
          gate ? 'sliding gate' : 'regulator plug',
          gate
            ? `${mid(24, 88, 8)} ${box(212, 96, 8, 22)} ${box(240, 96, 8, 22)}`
            : poly([210, 100], [250, 100], [238, 86], [222, 86]),
          'hatch',
        ),
        shape('stem', mid(4, -40, 150), 'hatch'),
        shape('lower plate', mid(40, -30, 7), 'hatch'),
        shape(
          'diaphragm',
          'M96 -22 L140 -22 C148 -22 150 -34 158 -34 L302 -34 C310 -34 312 -22 320 -22 L364 -22 L364 -17 L320 -17 C310 -17 308 -29 300 -29 L160 -29 C152 -29 150 -17 140 -17 L96 -17 Z',
          'solid',
        ),
        shape('diaphragm plates', `${mid(60, -44, 9)} ${mid(30, -56, 12)}`, 'hatch-back'),
        ...both(
          'housing',
          'M96 -24 L150 -24 C154 -60 170 -84 176 -110 L176 -220 L214 -220 L214 -236 L162 -236 L162 -112 C150 -76 140 -56 136 -38 L96 -38 Z',
          'hatch-back',
        ),
        ...both('housing bolts', `${box(108, -50, 6, 52)} ${box(102, -46, 18, 9)}`, 'solid'),
        shape('spring seat', mid(34, -212, 8), 'hatch-back'),
        shape('adjusting screw', `${mid(10, -288, 78)} ${mid(20, -258, 10)} ${mid(26, -212, 8)}`, 'hatch'),
      ],
      thin: `${threads(220, 240, -284, 8, 7)} ${threads(140, 144, 116, 5, 8)} ${threads(316, 320, 116, 5, 8)}`,
      flow: flowAt(78),
      touch: {
        body: [150, 40],
        'bottom cap': [134, 150],
        housing: [168, -160],
        diaphragm: [346, -20],
        seat: [214, 70],
        'diaphragm plates': [280, -40],
        'lower plate': [262, -26],
        stem: [230, 20],
        'adjusting screw': [230, -276],
      },
      away: {
        'bottom cap': 'down',
        'return spring': 'down',
        seat: 'down',
        'sliding gate': 'down',
        'regulator plug': 'down',
      },
    },
    coil('range spring', 192, -202, 76, 140, 6),
    coil('return spring', 216, 118, 28, 48, 5),
  );
}
