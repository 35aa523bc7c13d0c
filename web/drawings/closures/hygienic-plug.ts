import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from '../sections/body';
import { CX, both, box, circle, coil, mid, poly, rings, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A clamped hygienic seat valve under a spring-closed cylinder. */
export function hygienicPlug({ features }: Valve): Piece {
  const large = 'size' in features.moved && features.moved.size === 'large';
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
        ...rings('bonnet O-rings', large ? 96 : 92, large ? -14 : -12, 6),
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
              shape('upper clamp seal', `${circle(148, -89, 4)} ${circle(312, -89, 4)}`, 'solid'),
              ...both('bonnet guide ring', box(212, -56, 6, 12), 'solid'),
              ...both('seal retainer', box(208, -76, 10, 6), 'hatch'),
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
          : [
              ...both(
                'bonnet',
                poly([112, -14], [206, -14], [206, -40], [174, -44], [174, -24], [112, -22]),
                'hatch',
              ),
              ...rings('actuator O-rings', half - 8, -62, 7),
              ...rings('actuator O-rings', 13, -52, 6),
            ]),
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
