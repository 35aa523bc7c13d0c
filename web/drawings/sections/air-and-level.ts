import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from './body';
import { both, box, circle, coil, CX, mid, poly, rings, shape, threads, together } from './kit';
import type { Piece } from './section';

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
export function lowPressure({ features }: Valve): Piece {
  const { moved, seat } = features;
  const sprung = moved.kind === 'diaphragm-on-stem' && moved.variant !== 'double acting';
  const plate = moved.kind === 'diaphragm-on-stem' && moved.springPlate;
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

/** A clamped hygienic seat valve under a spring-closed cylinder. */
export function hygienicSeat({ features }: Valve): Piece {
  const large = features.moved.kind === 'hygienic-cylinder' && features.moved.size === 'large';
  const half = large ? 78 : 56;
  return together(
    {
      shapes: [
        ...both(
          'body',
          'M120 0 L150 0 L150 60 C150 76 140 84 120 84 L40 84 L40 72 L110 72 C128 72 138 66 138 50 L138 14 L120 14 Z',
        ).slice(0, 1),
        shape(
          'body',
          'M340 0 L310 0 L310 130 C310 160 290 178 270 178 L270 230 L258 230 L258 170 L262 150 L198 150 L202 170 L202 230 L190 230 L190 178 C170 178 150 160 150 130 L150 116 L40 116 L40 128 L138 128 C140 166 160 186 178 190 L178 242 L282 242 L282 190 C306 182 322 160 322 130 L322 14 L340 14 Z',
          'hatch',
        ),
        shape('hygienic plug', poly([200, 128], [260, 128], [252, 148], [208, 148]), 'hatch-back'),
        shape(
          'clamp seat ring',
          `${circle(204, 150, 5)} ${circle(256, 150, 5)} ${circle(146, -3, 4)} ${circle(314, -3, 4)}`,
          'solid',
        ),
        shape('plug clip', box(218, 120, 24, 5), 'solid'),
        shape('stem', mid(9, -210, 334)),
        ...both('lower clamp', poly([112, -16], [134, -12], [134, 10], [112, 14]), 'solid'),
        ...both('lip seal', poly([206, -30], [220, -34], [220, -20], [206, -16]), 'cross'),
        ...(large
          ? [
              ...both(
                'bonnet',
                poly(
                  [126, -10],
                  [206, -10],
                  [206, -60],
                  [150, -66],
                  [150, -90],
                  [132, -90],
                  [132, -66],
                  [170, -48],
                  [170, -20],
                  [126, -20],
                ),
                'hatch-back',
              ),
              ...both('upper clamp', poly([120, -104], [142, -100], [142, -78], [120, -74]), 'solid'),
              ...rings('cylinder O-ring', half - 4, -98, 7),
              ...both('piston guide rings', box(CX - half + 12, -156, 5, 12), 'solid'),
              shape('piston', `${mid(half - 18, -160, 22)} ${mid(18, -138, 26)}`, 'hatch'),
              ...both(
                'actuator lip seal',
                poly([CX - half + 12, -138], [CX - half + 24, -138], [CX - half + 18, -130]),
                'cross',
              ),
            ]
          : [...rings('actuator O-rings', half - 8, -62, 7), ...rings('actuator O-rings', 13, -52, 6)]),
        ...both(
          'cylinder',
          large
            ? poly(
                [CX - half, -70],
                [CX - half, -320],
                [CX - 14, -320],
                [CX - 14, -306],
                [CX - half + 12, -306],
                [CX - half + 12, -70],
              )
            : poly(
                [126, -8],
                [126, -20],
                [CX - half, -44],
                [CX - half, -320],
                [CX - 14, -320],
                [CX - 14, -306],
                [CX - half + 12, -306],
                [CX - half + 12, -44],
                [204, -40],
                [204, -8],
              ),
          'hatch-back',
        ),
        shape(
          'locking wire',
          `${circle(CX - half + 10, -84, 4)} ${circle(CX + half - 10, -84, 4)} ${box(CX + half, -87, 22, 6)}`,
          'solid',
        ),
        shape('air plug', `${mid(12, -336, 18)} ${mid(6, -318, 14)}`, 'solid'),
      ],
      flow: flowAt(100),
      touch: {
        body: [316, 90],
        'hygienic plug': [230, 138],
        cylinder: [CX - half + 6, -200],
        stem: [230, 40],
        'locking wire': [CX + half + 16, -84],
        ...(large ? { bonnet: [140, -80], piston: [CX - half + 28, -150] } : {}),
      },
      away: { 'locking wire': 'right' },
    },
    coil('spring assembly', CX - half + 26, -300, half * 2 - 52, 134, 6),
  );
}

/** A dump valve: diaphragm housing over a reversible seat, a weight on its lever, a drip pot. */
export function weightLever({ features }: Valve): Piece {
  const small = features.moved.kind === 'weight-lever' && features.moved.sizes === '2-3 in';
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
