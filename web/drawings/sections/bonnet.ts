import { valueIn } from '@dusk-wren/core/quantity';
import { packedBox, type Features, type Valve } from '@dusk-wren/core/valve';
import { packingRings } from '@dusk-wren/core/workings';
import { studs } from './body';
import { both, box, CX, mid, poly, rings, shape, shifted, threads, together } from './kit';
import { coupling, moverOf } from './movers';
import type { Piece, Shape } from './section';

/** Proportions that follow from the valve: a thick stem looks thick, a deep box holds its rings. */
export interface Proportions {
  readonly stem: number;
  readonly bore: number;
  readonly rings: number;
}

export function proportions({ features, nps }: Valve): Proportions {
  const box_ = packedBox(features);
  const stemIn = features.stem.diameter ? valueIn(features.stem.diameter, 'in') : 1;
  const boreIn = box_?.bore ? valueIn(box_.bore, 'in') : stemIn * 1.6;
  const stem = Math.min(12, Math.max(7, (stemIn / (nps ?? 3)) * 25));
  const worked =
    box_?.bore && box_.depth && box_.glandEntry && features.stem.diameter
      ? packingRings.work({
          stem: features.stem.diameter,
          bore: box_.bore,
          depth: box_.depth,
          glandEntry: box_.glandEntry,
          style: box_.style,
        })
      : undefined;
  return {
    stem,
    bore: Math.min(34, Math.max(stem + 12, stem * (boreIn / stemIn) * 1.15)),
    rings: worked?.ok ? Math.min(10, worked.value.result.rings) : 5,
  };
}

/** Packing in its box between two heights, with a lantern ring in the middle where there is one. */
export function packingIn(
  features: Features,
  { stem, bore, rings: count }: Proportions,
  top: number,
  bottom: number,
): Shape[] {
  const [s, b] = [CX - stem, CX - bore];
  const lantern = features.lantern.kind === 'lantern-ring';
  const pieces = count + (lantern ? 1 : 0);
  const height = (bottom - top) / pieces;
  return Array.from({ length: pieces }, (_, i) => {
    const isLantern = lantern && i === Math.floor(pieces / 2);
    return both(
      isLantern ? 'lantern ring' : 'packing',
      box(b + 1, top + i * height, s - b - 2, height - 1),
      isLantern ? 'hatch' : 'cross',
    );
  }).flat();
}

/** Gland follower, its flange and nuts, over a box whose top is at y. */
export function glandOn({ stem, bore }: Proportions, y: number, studsDown = 40): Shape[] {
  const [s, b] = [CX - stem, CX - bore];
  return [
    ...both('gland', box(b + 1, y - 14, s - b - 2, 30)),
    ...both('gland flange', box(b - 26, y - 26, s - b + 24, 12), 'hatch-back'),
    ...both('gland nuts', `${box(b - 19, y - 44, 6, studsDown + 6)} ${box(b - 25, y - 38, 18, 12)}`, 'solid'),
  ];
}

/** A bonnet with its packed box on a joint face at y = 0, its gland, and what moves the stem above it. */
export function packedBonnet(valve: Valve, half: number): { piece: Piece; stemTop: number } {
  const { features } = valve;
  const p = proportions(valve);
  const [s, b] = [CX - p.stem, CX - p.bore];
  const mover = moverOf(features);
  const base = -118;
  const moverAt = base - 98;
  const sealed = features.joint.kind === 'bolted-bonnet' && features.joint.gasket === 'seal ring';
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

/** The stem from its top to what it carries. */
export function stemBetween(p: Proportions, top: number, bottom: number): Piece {
  return {
    shapes: [shape('stem', mid(p.stem, top, bottom - top))],
    touch: { stem: [CX, top + 34] },
    thin: threads(CX - p.stem, CX + p.stem, top + 2, 3, 5),
  };
}
