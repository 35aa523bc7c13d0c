import type { Features } from '@dusk-wren/core/valve';
import { both, box, circle, coil, CX, mid, poly, rings, shape, threads, together } from './kit';
import type { Piece } from './section';

/** What moves a valve, drawn standing on y = 0 with its stem coming out below; how tall it is. */
export interface Mover {
  readonly piece: Piece;
  readonly height: number;
}

const NOTHING: Mover = { piece: { shapes: [] }, height: 0 };

export function moverOf({ moved, positioner, joint }: Features): Mover {
  switch (moved.kind) {
    case 'spring-diaphragm':
      return {
        piece: together(springDiaphragm(moved.action === 'air-to-open'), side(positioner.kind, -150)),
        height: 196,
      };
    case 'piston':
      return {
        piece: together(
          cylinder(),
          positioner.kind === 'on-cylinder' ? onTop() : side(positioner.kind, -150),
        ),
        height: positioner.kind === 'on-cylinder' ? 270 : 196,
      };
    case 'handwheel':
      return joint.kind === 'bolted-bonnet' ? NOTHING : { piece: wheel(), height: 40 };
    default:
      return NOTHING;
  }
}

/** A handwheel on its stem, its hub standing on y = 0. */
export function wheel(): Piece {
  return {
    shapes: [
      shape(
        'handwheel',
        'M214 -18 L246 -18 L246 -2 L340 -8 L340 -16 L246 -24 L214 -24 L120 -16 L120 -8 L214 -2 Z',
        'hatch-back',
      ),
      ...both('handwheel', 'M120 -21 C131 -21 131 -3 120 -3 C109 -3 109 -21 120 -21 Z', 'hatch'),
    ],
    touch: { handwheel: [310, -12] },
  };
}

/** A casing with a diaphragm and a spring over the yoke; the spring above where air opens, below where it closes. */
function springDiaphragm(airOpens: boolean): Piece {
  const spring = airOpens
    ? coil('actuator spring', 192, -186, 76, 66, 5)
    : coil('actuator spring', 192, -96, 76, 62, 5);
  const middle = -112;
  return together(
    {
      shapes: [
        shape('stem connector', mid(10, -8, 22), 'solid'),
        ...both(
          'actuator',
          `M110 ${middle + 4} L96 ${middle + 4} L96 ${middle + 12} L124 ${middle + 12} C130 -70 160 -40 206 -34 L206 -14 L214 -14 L214 -44 C170 -48 140 -76 134 ${middle + 4} Z`,
          'hatch',
        ),
        ...both(
          'actuator cover',
          `M96 ${middle - 12} L124 ${middle - 12} C130 -168 160 -194 214 -198 L230 -198 L230 -190 C174 -188 140 -164 134 ${middle - 4} L96 ${middle - 4} Z`,
          'hatch-back',
        ),
        shape(
          'actuator diaphragm',
          `M98 ${middle - 4} L150 ${middle - 4} C158 ${middle - 4} 160 ${middle - 2} 164 ${middle - 2} L296 ${middle - 2} C300 ${middle - 2} 302 ${middle - 4} 310 ${middle - 4} L362 ${middle - 4} L362 ${middle + 4} L310 ${middle + 4} C300 ${middle + 4} 298 ${middle + 5} 294 ${middle + 5} L166 ${middle + 5} C160 ${middle + 5} 158 ${middle + 4} 150 ${middle + 4} L98 ${middle + 4} Z`,
          'solid',
        ),
        shape('actuator', mid(5, middle + 5, 100), 'hatch'),
        ...rings('actuator stem seals', 9, -24, 6),
        shape(
          'air lines',
          `${box(80, airOpens ? -70 : -176, 60, 6)} ${box(74, airOpens ? -76 : -182, 8, 18)}`,
          'solid',
        ),
      ],
      touch: {
        actuator: [140, -62],
        'actuator cover': [150, -176],
        'actuator diaphragm': [330, middle],
        'air lines': [84, airOpens ? -67 : -173],
      },
    },
    spring,
  );
}

/** A double-acting cylinder over the yoke. */
function cylinder(): Piece {
  return {
    shapes: [
      shape('stem connector', mid(10, -8, 22), 'solid'),
      ...both('cylinder', 'M138 -186 L150 -186 L150 -60 L138 -60 Z', 'hatch'),
      ...both('cylinder', 'M150 -186 L216 -186 L216 -174 L150 -174 Z', 'hatch'),
      ...both(
        'actuator',
        'M126 -60 L214 -60 L214 -44 L176 -44 C170 -30 170 -20 172 -8 L160 -8 C156 -24 152 -44 126 -46 Z',
        'hatch-back',
      ),
      shape('piston', `${mid(78, -128, 16)} ${mid(16, -136, 8)}`, 'hatch-back'),
      shape('piston', mid(6, -112, 104), 'hatch'),
      ...rings('piston O-ring', 79, -120, 7),
      ...both('cylinder bushing', box(212, -188, 10, 18), 'solid'),
      ...rings('cylinder bushing seal', 8, -166, 6),
      ...both('yoke bushing', box(212, -62, 10, 20), 'solid'),
      ...rings('yoke bushing seal', 8, -36, 6),
      ...both(
        'boot',
        'M218 -30 L224 -26 L218 -22 L224 -18 L218 -14 L212 -14 L216 -18 L210 -22 L216 -26 L210 -30 Z',
        'solid',
      ),
      shape(
        'air lines',
        `${box(106, -170, 32, 6)} ${box(106, -80, 32, 6)} ${box(100, -172, 7, 100)}`,
        'solid',
      ),
    ],
    touch: {
      cylinder: [144, -90],
      actuator: [164, -50],
      'air lines': [103, -124],
      boot: [246, -24],
      piston: [280, -120],
    },
  };
}

/** A force-balance positioner sealed to the top of its cylinder. */
function onTop(): Piece {
  return together(
    {
      shapes: [
        ...both(
          'positioner',
          'M160 -262 L230 -262 L230 -254 L168 -254 L168 -196 L222 -196 L222 -188 L160 -188 Z',
          'hatch',
        ),
        ...rings('positioner O-ring', 60, -190, 6),
        ...relay(250, -252),
      ],
      touch: { positioner: [164, -230] },
    },
    coil('feedback spring', 222, -250, 16, 52, 5),
  );
}

/** Positioner on the side of the yoke. */
function side(kind: Features['positioner']['kind'], dx: number): Piece {
  if (kind === 'none') return { shapes: [] };
  const x = CX + dx - 46;
  return {
    shapes: [
      shape(
        'positioner',
        `${box(x, -34, 76, 6)} ${box(x, 30, 76, 6)} ${box(x, -28, 6, 58)} ${box(x + 70, -28, 6, 58)}`,
        'hatch',
      ),
      ...relay(x + 12, -22),
    ],
    touch: { positioner: [x + 3, 0] },
    away: {
      positioner: 'left',
      'relay body': 'left',
      'relay diaphragms': 'left',
      'inner valve': 'left',
      'relay O-rings': 'left',
      'relay gasket': 'left',
      flappers: 'left',
    },
  };
}

/** The relay inside a positioner: body, diaphragms, inner valve, flappers; a picture of 52 by 48. */
function relay(x: number, y: number) {
  return [
    shape('relay body', `${box(x, y, 24, 8)} ${box(x, y + 36, 24, 8)} ${box(x, y + 8, 5, 28)}`, 'hatch-back'),
    shape('relay diaphragms', `${box(x + 5, y + 14, 22, 3)} ${box(x + 5, y + 26, 22, 3)}`, 'solid'),
    shape('inner valve', poly([x + 12, y + 18], [x + 20, y + 18], [x + 16, y + 25]), 'hatch'),
    shape('relay O-rings', `${circle(x + 27, y + 4, 3)} ${circle(x + 27, y + 40, 3)}`, 'solid'),
    shape('relay gasket', box(x + 24, y + 9, 4, 4), 'solid'),
    shape('flappers', `${box(x + 34, y + 10, 16, 3)} ${box(x + 34, y + 30, 16, 3)}`, 'solid'),
  ];
}

/** The coupling between two stems, standing on y = 0 and 60 tall. */
export function coupling({ moved }: Features): Piece {
  if (!('coupling' in moved)) return { shapes: [] };
  const indicator = shape('travel indicator', `${mid(26, 34, 4)} ${box(276, 18, 3, 38)}`, 'solid');
  if (moved.coupling === 'split') {
    return {
      shapes: [
        ...both('split coupler', box(212, 8, 14, 34), 'hatch'),
        shape('coupler nut', mid(16, 42, 8), 'solid'),
        indicator,
      ],
      thin: threads(222, 238, 8, 5),
      touch: { 'travel indicator': [277, 24] },
    };
  }
  return {
    shapes: [shape('stem lock nuts', `${mid(14, 16, 7)} ${mid(14, 25, 7)}`, 'solid'), indicator],
    thin: threads(224, 236, 0, 10),
    touch: { 'travel indicator': [277, 24] },
  };
}

/** A horizontal diaphragm barrel on a lever: the rotary actuator, its lever on the shaft end at (230, 0). */
export function rollingDiaphragm({ moved, positioner }: Features): Piece {
  const across = moved.kind === 'rolling-diaphragm' && moved.form === 'barrel across';
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
    side(positioner.kind, -130),
  );
}

/** A vane arm on the shaft end at (230, 0), keyed, with its clevis to a cylinder on the right. */
export function vaneArm({ positioner }: Features): Piece {
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
    side(positioner.kind, -130),
  );
}

/** A plain lever on a square, its boss at (230, 0). */
export function handLever(): Piece {
  return {
    shapes: [
      shape(
        'lever',
        `${mid(20, -14, 14)} ${poly([250, -14], [440, -34], [440, -24], [250, -2])}`,
        'hatch-back',
      ),
      shape('lever nut', mid(11, -26, 11), 'solid'),
    ],
    touch: { lever: [380, -22] },
  };
}

/** A plain box for an actuator that is not opened, on the shaft end at (230, 0). */
export function closedActuator({ positioner }: Features): Piece {
  const inside = positioner.kind === 'on-cylinder';
  return together(
    unopened(),
    side(inside ? 'side-mounted' : positioner.kind, -150),
    inside ? tied() : { shapes: [] },
  );
}

/** What ties a positioner to the stem of an actuator that is not opened. */
const tied = (): Piece => ({
  shapes: [
    shape(
      'feedback spring',
      `${circle(150, -100, 4)} ${circle(160, -104, 4)} ${circle(170, -100, 4)}`,
      'solid',
    ),
    shape('positioner O-ring', circle(124, -96, 3), 'solid'),
  ],
});

function unopened(): Piece {
  return {
    shapes: [
      shape(
        'actuator',
        `${box(120, -90, 220, 8)} ${box(120, -18, 220, 8)} ${box(120, -82, 8, 64)} ${box(332, -82, 8, 64)} ${mid(9, -82, 64)}`,
        'hatch',
      ),
      shape('piston', `${box(176, -76, 12, 52)} ${box(188, -54, 120, 8)}`, 'hatch-back'),
      shape('piston O-ring', `${circle(182, -79, 3)} ${circle(182, -21, 3)}`, 'solid'),
      shape('cylinder', `${box(128, -80, 44, 4)} ${box(128, -24, 44, 4)}`, 'hatch'),
      shape('cylinder bushing', box(300, -60, 6, 20), 'solid'),
      shape('cylinder bushing seal', circle(312, -60, 3), 'solid'),
      shape('yoke bushing', box(318, -60, 6, 20), 'solid'),
      shape('yoke bushing seal', circle(328, -60, 3), 'solid'),
      shape('boot', box(214, -16, 32, 6), 'solid'),
      shape('stem connector', mid(12, -10, 8), 'solid'),
      shape('stem lock nuts', mid(16, -2, 5), 'solid'),
      ...both('split coupler', box(210, -14, 14, 14), 'hatch'),
      shape('coupler nut', mid(16, 0, 5), 'solid'),
      shape('travel indicator', box(262, -8, 26, 4), 'solid'),
      shape('air lines', `${box(140, -106, 6, 16)} ${box(140, -110, 40, 5)}`, 'solid'),
    ],
    touch: { actuator: [124, -50] },
  };
}
