import { valueIn } from '@dusk-wren/core/quantity';
import { packedBox, type Features, type Valve } from '@dusk-wren/core/valve';
import { packingRings } from '@dusk-wren/core/workings';
import { both, box, CX, mid, shape, threads } from './kit';
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

/** The stem from its top to what it carries. */
export function stemBetween(p: Proportions, top: number, bottom: number): Piece {
  return {
    shapes: [shape('stem', mid(p.stem, top, bottom - top))],
    touch: { stem: [CX, top + 34] },
    thin: threads(CX - p.stem, CX + p.stem, top + 2, 3, 5),
  };
}
