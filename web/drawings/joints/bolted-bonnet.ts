import { moverOf, type Features, type Valve } from '@dusk-wren/core/valve';
import { coupling } from '../movers/coupling';
import { wheel } from '../movers/handwheel';
import { moverOnStem } from '../movers';
import { studs } from '../sections/body';
import { glandOn, packingIn, proportions, stemBetween } from '../sections/bonnet';
import { CX, both, box, poly, rings, shape, shifted, together } from '../sections/kit';
import type { Piece, Shape } from '../sections/section';

/** Where a bonnet stands on a body: half the width of its joint, and how far down its stem goes. */
interface Standing {
  readonly half: number;
  readonly stemBottom: number;
}

/** Trim under a bolted bonnet, with its stem and whatever moves it. */
export function underBonnet(valve: Valve, trim: Piece, { half, stemBottom }: Standing): Piece {
  if (moverOf(valve.features).stem === 'winds') return together(trim, handwheelTop(valve, stemBottom));
  const { piece, stemTop } = packedBonnet(valve, half);
  return together(trim, stemBetween(proportions(valve), stemTop, stemBottom), piece);
}

/** Bonnet, yoke, bushing and handwheel of a stem that is wound, on a joint face at y = 0. */
function handwheelTop(valve: Valve, stemBottom: number): Piece {
  const p = proportions(valve);
  const { features } = valve;
  const [s, b] = [CX - p.stem, CX - p.bore];
  return together(
    stemBetween(p, -250, stemBottom),
    {
      shapes: [
        ...woundBonnet(s, b, features),
        ...both(
          'yoke',
          `M178 -86 C150 -110 142 -158 158 -200 L168 -216 L${s - 18} -216 L${s - 18} -196 L182 -196 C170 -166 168 -130 190 -96 L190 -86 Z`,
          'hatch-back',
        ),
        ...(features.bushing.held === 'none'
          ? []
          : both(
              'stem bushing',
              `M${s - 18} -222 L${s - 1} -222 L${s - 1} -174 L${s - 12} -174 L${s - 12} -194 L${s - 18} -194 Z`,
            )),
        ...packingIn(features, p, -76, -18),
        ...glandOn(p, -92),
        shape('wheel nut', box(218, -268, 24, 14), 'solid'),
      ],
      thin: Array.from(
        { length: 13 },
        (_, i) => `M${s} ${-220 + i * 7} L${CX + p.stem} ${-223 + i * 7}`,
      ).join(' '),
      touch: {
        bonnet: [150, -12],
        yoke: [158, -150],
        'stem bushing': [s - 8, -202],
        packing: [CX + p.bore - 6, -48],
        stem: [CX, -162],
      },
    },
    shifted(wheel(), -230),
  );
}

function woundBonnet(s: number, b: number, features: Features): Shape[] {
  const nose = features.backseat
    ? `L${s - 2} -4 L${s - 8} 12 L178 12 L178 -1`
    : `L${s - 2} 12 L178 12 L178 -1`;
  const sealed = 'gasket' in features.joint && features.joint.gasket === 'seal ring';
  return [
    ...both(
      'bonnet',
      `M110 -24 L146 -24 C160 -26 166 -38 170 -60 L178 -94 L${b} -94 L${b} -16 L${s - 2} -16 ${nose} L110 -1 Z`,
      'hatch-back',
    ),
    ...(sealed ? rings('bonnet seal', 70, 0, 7) : both('bonnet gasket', box(142, -4, 36, 6), 'solid')),
    ...studs('bonnet studs', 104, -44, 84),
  ];
}

/** A bonnet with its packed box on a joint face at y = 0, its gland, and what moves the stem above it. */
function packedBonnet(valve: Valve, half: number): { piece: Piece; stemTop: number } {
  const { features } = valve;
  const p = proportions(valve);
  const [s, b] = [CX - p.stem, CX - p.bore];
  const mover = moverOnStem(features);
  const base = -118;
  const moverAt = base - 98;
  const sealed = 'gasket' in features.joint && features.joint.gasket === 'seal ring';
  const lubricated = features.lantern.kind === 'lantern-ring' && features.lantern.lubricator;
  const bonnet: Piece = {
    shapes: [
      ...both(
        'bonnet',
        poly(
          [CX - half - 34, -22],
          [CX - half, -22],
          [b - 16, -44],
          [b - 16, base],
          [b, base],
          [b, -20],
          [s - 2, -20],
          [s - 2, 8],
          [CX - half + 16, 8],
          [CX - half + 16, 0],
          [CX - half - 34, 0],
        ),
        'hatch-back',
      ),
      ...packingIn(features, p, base + 18, -21),
      ...glandOn(p, base),
      ...(sealed
        ? rings('bonnet seal', half - 6, 4, 7)
        : both('bonnet gasket', box(CX - half - 6, -1, 20, 5), 'solid')),
      ...studs('bonnet studs', half + 22, -44, 76),
      ...(lubricated
        ? [
            shape(
              'isolating valve',
              `${box(CX + p.bore + 16, -72, 18, 12)} ${box(CX + p.bore + 22, -84, 6, 12)}`,
              'solid',
            ),
            shape(
              'lubricator',
              `${box(CX + p.bore + 34, -76, 34, 20)} ${box(CX + p.bore + 68, -71, 26, 10)}`,
              'hatch',
            ),
          ]
        : []),
    ],
    touch: { bonnet: [CX - half - 16, -12], packing: [CX + p.bore - 5, -40] },
    away: { lubricator: 'right', 'isolating valve': 'right' },
  };
  const above: Piece = together(shifted(coupling(features), base - 94), shifted(mover.piece, moverAt));
  return { piece: together(bonnet, above), stemTop: moverAt - 10 };
}
