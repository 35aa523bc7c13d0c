import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from './body';
import { both, box, circle, coil, mid, poly, rings, shape, threads, together } from './kit';
import type { Piece } from './section';

/** A regulator: range spring over a diaphragm, the body screwed on its bottom cap. */
export function regulator({ features }: Valve): Piece {
  const gate = features.closure.kind === 'spring-regulator' && features.closure.trim === 'sliding gate';
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

/** A solenoid over a pilot orifice and a diaphragm on its main seat. */
export function pilotSolenoid(): Piece {
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
