import type { Valve } from '@dusk-wren/core/valve';
import { underBonnet } from '../joints/bolted-bonnet';
import { plainBody } from '../sections/body';
import { both, box, circle, mid, poly, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

export const ballInCage = (valve: Valve): Piece => underBonnet(valve, trim(), { half: 66, stemBottom: 84 });

/** A ball in a cage on its stem, dropped over a venturi cartridge with a seat at each end. */
function trim(): Piece {
  const axis = 126;
  return together(plainBody({ axis, bore: 44, cavity: 64, bottom: 188 }), {
    shapes: [
      shape(
        'cartridge',
        `M272 ${axis - 44} L388 ${axis - 44} L388 ${axis - 38} C350 ${axis - 34} 340 ${axis - 22} 322 ${axis - 22} C304 ${axis - 22} 296 ${axis - 30} 272 ${axis - 34} Z`,
        'hatch-back',
      ),
      shape(
        'cartridge',
        `M272 ${axis + 44} L388 ${axis + 44} L388 ${axis + 38} C350 ${axis + 34} 340 ${axis + 22} 322 ${axis + 22} C304 ${axis + 22} 296 ${axis + 30} 272 ${axis + 34} Z`,
        'hatch-back',
      ),
      shape('seat gaskets', `${box(388, axis - 44, 5, 10)} ${box(388, axis + 34, 5, 10)}`, 'solid'),
      shape('ball', circle(238, axis, 34), 'hatch'),
      shape(
        'ball cage',
        `${poly([196, axis - 46], [276, axis - 46], [276, axis - 36], [206, axis - 36], [206, axis + 36], [276, axis + 36], [276, axis + 46], [196, axis + 46])}`,
        'hatch-back',
      ),
      shape('guide pin', mid(6, axis + 46, 30), 'solid'),
      shape('guide pin gasket', box(214, axis + 66, 10, 5), 'solid'),
      ...both('wear bushings', box(168, 24, 12, 40), 'hatch'),
      ...both('bushing gaskets', box(168, 64, 12, 5), 'solid'),
    ],
    touch: { cartridge: [330, axis - 36], ball: [238, axis], 'ball cage': [200, axis + 10] },
    away: { cartridge: 'right', 'seat gaskets': 'right', 'guide pin': 'down', 'guide pin gasket': 'down' },
  });
}
