import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from '../sections/body';
import { both, box, shape } from '../sections/kit';
import { onShaft, shaftBody } from '../sections/on-shaft';
import type { Piece } from '../sections/section';

/** A vane across a wafer body with a liner. */
export function vane(valve: Valve): Piece {
  const bore = 96;
  const axis = bore + 16;
  return onShaft(
    valve,
    {
      shapes: [
        ...shaftBody(78, bore),
        ...both('seat liner', `${box(160, 12, 50, 9)} ${box(160, axis + bore - 5, 50, 9)}`, 'solid'),
        shape(
          'vane',
          `M224 22 C212 60 210 ${axis - 20} 210 ${axis} C210 ${axis + 20} 212 ${axis + 52} 224 ${axis + bore - 6} L236 ${axis + bore - 6} C248 ${axis + 52} 250 ${axis + 20} 250 ${axis} C250 ${axis - 20} 248 60 236 22 Z`,
          'hatch-back',
        ),
        ...both('shaft bushes', `${box(210, -30, 9, 34)} ${box(210, axis + bore + 4, 9, 24)}`, 'solid'),
      ],
      flow: flowAt(axis),
      touch: { vane: [214, axis + 30], body: [160, axis + bore + 10] },
    },
    bore,
  );
}
