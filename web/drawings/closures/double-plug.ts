import type { Valve } from '@dusk-wren/core/valve';
import { underBonnet } from '../joints/bolted-bonnet';
import { flowAt, studs, throughBody } from '../sections/body';
import { CX, both, box, poly, shape } from '../sections/kit';
import type { Piece } from '../sections/section';

export const doublePlug = (valve: Valve): Piece => underBonnet(valve, trim(), { half: 92, stemBottom: 24 });

/** A plug on two seats between two guides, the lower one in the blind head. */
function trim(): Piece {
  const body = throughBody({ axis: 150, bore: 52, cavity: 92, bottom: 272, open: true, flange: 126 });
  const web = (y: number, half: number) => [
    shape('body', poly([138, y - 8], [CX - half - 14, y - 8], [CX - half - 14, y + 8], [138, y + 8])),
    shape('body', poly([CX + half + 14, y - 8], [318, y - 8], [318, y + 8], [CX + half + 14, y + 8])),
  ];
  const ring = (role: 'upper seat ring' | 'lower seat ring', y: number, half: number) =>
    both(
      role,
      poly(
        [CX - half - 14, y - 10],
        [CX - half, y - 10],
        [CX - half + 6, y],
        [CX - half + 6, y + 10],
        [CX - half - 14, y + 10],
      ),
      'hatch-back',
    );
  return {
    shapes: [
      ...body,
      ...web(98, 46),
      ...web(202, 40),
      shape('body', box(306, 98, 12, 104)),
      ...ring('upper seat ring', 98, 46),
      ...ring('lower seat ring', 202, 40),
      shape(
        'plug',
        poly(
          [218, 20],
          [242, 20],
          [242, 72],
          [268, 86],
          [272, 96],
          [246, 118],
          [246, 176],
          [262, 190],
          [266, 200],
          [244, 220],
          [244, 276],
          [216, 276],
          [216, 220],
          [194, 200],
          [198, 190],
          [214, 176],
          [214, 118],
          [188, 96],
          [192, 86],
          [218, 72],
        ),
        'hatch-back',
      ),
      ...both('upper guide', box(204, 10, 13, 34), 'solid'),
      ...both(
        'blind head',
        poly([104, 278], [200, 278], [200, 306], [230, 306], [230, 318], [186, 318], [186, 298], [104, 298]),
        'hatch-back',
      ),
      ...both('lower guide', box(203, 250, 12, 48), 'solid'),
      ...both('blind head gasket', box(128, 272, 18, 6), 'solid'),
      ...studs('blind head studs', 114, 246, 66),
    ],
    flow: flowAt(150),
    touch: {
      body: [330, 222],
      plug: [230, 150],
      'blind head': [150, 290],
      'upper seat ring': [276, 100],
      'lower seat ring': [282, 204],
    },
    away: {
      'blind head': 'down',
      'blind head studs': 'down',
      'blind head gasket': 'down',
      'lower guide': 'down',
    },
  };
}
