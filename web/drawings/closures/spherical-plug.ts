import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from '../sections/body';
import { both, box, poly, shape } from '../sections/kit';
import { onShaft, shaftBody } from '../sections/on-shaft';
import type { Piece } from '../sections/section';

/** A spherical plug on flexing arms, swung on to a retained seat ring. */
export function sphericalPlug(valve: Valve): Piece {
  const bore = 56;
  const axis = bore + 16;
  return onShaft(
    valve,
    {
      shapes: [
        ...shaftBody(170, bore),
        shape(
          'seat ring',
          `${poly([132, axis - 54], [152, axis - 54], [160, axis - 40], [132, axis - 40])} ${poly([132, axis + 54], [152, axis + 54], [160, axis + 40], [132, axis + 40])}`,
          'hatch-back',
        ),
        shape('seat gasket', `${box(152, axis - 54, 5, 10)} ${box(152, axis + 44, 5, 10)}`, 'solid'),
        shape('seat retainer', `${box(106, axis - 54, 26, 12)} ${box(106, axis + 42, 26, 12)}`, 'hatch'),
        shape(
          'plug',
          `M160 ${axis - 44} C144 ${axis - 22} 144 ${axis + 22} 160 ${axis + 44} L176 ${axis + 40} C166 ${axis + 18} 166 ${axis - 18} 176 ${axis - 40} Z`,
          'hatch-back',
        ),
        shape(
          'plug',
          `${poly([172, axis - 40], [214, axis - 48], [214, axis - 36], [176, axis - 28])} ${poly([172, axis + 40], [214, axis + 48], [214, axis + 36], [176, axis + 28])}`,
          'hatch-back',
        ),
        ...both('shaft bushes', `${box(210, -30, 9, 34)} ${box(210, axis + bore, 9, 26)}`, 'solid'),
        ...both('packing box ring', box(211, -38, 8, 8), 'hatch'),
        shape('shaft retaining pin', box(250, -37, 22, 6), 'solid'),
      ],
      flow: flowAt(axis),
      touch: {
        plug: [156, axis],
        body: [330, axis + bore + 10],
        'seat ring': [142, axis + 47],
        'seat retainer': [118, axis - 48],
        'shaft retaining pin': [268, -34],
      },
      away: {
        'seat ring': 'left',
        'seat gasket': 'left',
        'seat retainer': 'left',
        plug: 'left',
        'shaft retaining pin': 'right',
      },
    },
    bore,
  );
}
