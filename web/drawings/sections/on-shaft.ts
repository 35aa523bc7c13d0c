import type { Valve } from '@dusk-wren/core/valve';
import { moverOnShaft } from '../movers';
import { type Proportions, glandOn, packingIn, proportions } from './bonnet';
import { CX, both, box, mid, poly, shape, shifted, together } from './kit';
import type { Piece, Shape } from './section';

/** A pipe piece with a shaft across it: neck and packed box on top, y = 0 at the outside of the bore. */
export function shaftBody(half: number, bore: number): Shape[] {
  const axis = bore + 16;
  return [
    ...both(
      'body',
      poly(
        [CX - half, axis - bore - 34],
        [CX - half + 14, axis - bore - 34],
        [CX - half + 14, axis - bore - 16],
        [196, axis - bore - 16],
        [196, -118],
        [210, -118],
        [210, -30],
        [214, axis - bore - 2],
        [CX - half, axis - bore - 2],
      ),
    ),
    ...both(
      'body',
      poly(
        [CX - half, axis + bore + 2],
        [210, axis + bore + 2],
        [210, axis + bore + 30],
        [230, axis + bore + 30],
        [230, axis + bore + 44],
        [194, axis + bore + 44],
        [194, axis + bore + 18],
        [CX - half + 14, axis + bore + 18],
        [CX - half + 14, axis + bore + 34],
        [CX - half, axis + bore + 34],
      ),
    ),
  ];
}

/** Shaft, box, gland and mover over a rotary body. */
export function onShaft(valve: Valve, trim: Piece, bore: number, gland = glandOnBox): Piece {
  const p = { ...proportions(valve), stem: 11, bore: 20 };
  const axis = bore + 16;
  const adapters =
    valve.features.packing.style !== 'none' &&
    'adapters' in valve.features.packing &&
    valve.features.packing.adapters;
  const [s, b] = [CX - p.stem, CX - p.bore];
  return together(
    trim,
    {
      shapes: [
        shape('shaft', mid(p.stem, -190, 190 + axis + bore + 26)),
        ...packingIn(valve.features, p, adapters ? -92 : -102, adapters ? -46 : -38),
        ...(adapters
          ? [
              ...both('female adapter', box(b + 1, -102, s - b - 2, 9), 'solid'),
              ...both('male adapter', box(b + 1, -46, s - b - 2, 8), 'solid'),
            ]
          : []),
        ...gland(p),
      ],
      touch: { shaft: [CX, -160], packing: [CX + 15, -70] },
    },
    shifted(moverOnShaft(valve.features), -192),
  );
}

/** Two nuts on a flange, over that box. */
export const glandOnBox = (p: Proportions): Shape[] => glandOn(p, -118, 70);
