import type { BalancedPlug, Valve } from '@dusk-wren/core/valve';
import { underBonnet } from '../joints/bolted-bonnet';
import { globeBody } from '../sections/globe-body';
import { both, box, mid, poly, rings, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

export const balancedPlug = (valve: Valve, { facing }: BalancedPlug): Piece =>
  underBonnet(valve, trim(facing === 'soft insert', globeBody(false)), { half: 62, stemBottom: 70 });

/** A balanced plug inside a cage, its guide above, a loose seat ring below. */
function trim(soft: boolean, body: Piece): Piece {
  return together(body, {
    shapes: [
      ...both('seat ring', poly([176, 88], [204, 88], [210, 96], [206, 110], [176, 110]), 'hatch-back'),
      ...both('seat gasket', box(178, 110, 22, 4), 'solid'),
      ...both('cage', `${box(180, 8, 12, 26)} ${box(180, 74, 12, 14)}`, 'hatch'),
      ...both('cage', box(184, 34, 4, 40), 'outline'),
      ...both(
        'guide',
        poly([166, 0], [192, 0], [192, -8], [216, -8], [216, 8], [180, 8], [166, 8]),
        'hatch-back',
      ),
      ...both('guide gasket', box(172, -6, 16, 5), 'solid'),
      shape(
        'plug',
        poly(
          [194, 20],
          [222, 20],
          [222, 14],
          [238, 14],
          [238, 20],
          [266, 20],
          [266, 84],
          [252, 84],
          [252, 40],
          [244, 34],
          [216, 34],
          [208, 40],
          [208, 84],
          [194, 84],
        ),
        'hatch-back',
      ),
      shape('plug', mid(9, 34, 40), 'hatch-back'),
      ...rings('plug seals', 37, 28, 6),
      shape('plug pin', box(212, 16, 36, 5), 'solid'),
      ...(soft
        ? [
            shape('soft insert', mid(30, 84, 7), 'solid'),
            ...rings('insert O-ring', 26, 81, 5),
            shape('insert retainer', mid(24, 91, 8), 'hatch'),
            shape('insert screw', `${mid(4, 74, 30)} ${mid(9, 99, 8)}`, 'solid'),
          ]
        : []),
    ],
    touch: { cage: [186, 20], plug: [200, 60], 'seat ring': [186, 98], guide: [290, 4] },
  });
}
