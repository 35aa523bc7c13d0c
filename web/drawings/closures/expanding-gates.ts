import type { Valve } from '@dusk-wren/core/valve';
import { wheel } from '../movers/handwheel';
import { plainBody, studs } from '../sections/body';
import { both, box, mid, poly, rings, shape, shifted, threads, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** Two gates and their seats across a straight bore, everything hanging in the bonnet. */
export function expandingGates(valve: Valve): Piece {
  const axis = 150;
  const { joint } = valve.features;
  const locked = 'ringHeldBy' in joint && joint.ringHeldBy === 'lock ring';
  const seat = (x: number, w: number) => `${box(x, axis - 66, w, 24)} ${box(x, axis + 42, w, 24)}`;
  return together(
    plainBody({ axis, bore: 42, cavity: 88, bottom: 262, flange: 132 }),
    {
      shapes: [
        shape('seat assemblies', `${seat(142, 42)} ${seat(276, 42)}`, 'hatch-back'),
        shape('seat pins', `${box(156, axis - 74, 8, 8)} ${box(296, axis - 74, 8, 8)}`, 'solid'),
        shape('inner gate', poly([186, 54], [228, 54], [216, 150], [228, 246], [186, 246]), 'hatch'),
        shape('outer gate', poly([232, 54], [274, 54], [274, 246], [232, 246], [220, 150]), 'hatch-back'),
        shape('gate pins', `${box(236, 60, 34, 6)}`, 'solid'),
        ...both(
          'bonnet',
          poly(
            [88, -30],
            [172, -30],
            [172, -128],
            [208, -128],
            [208, -84],
            [202, -84],
            [202, -24],
            [216, -24],
            [216, 8],
            [150, 8],
            [150, 0],
            [88, 0],
          ),
          'hatch-back',
        ),
        ...both('bonnet seal ring', poly([146, 0], [156, 4], [146, 14], [140, 8]), 'solid'),
        ...(locked ? both('lock ring', box(158, 8, 12, 5), 'solid') : []),
        ...studs('bonnet studs', 122, -52, 86),
        shape('stem', `${mid(11, -128, 196)} ${mid(18, 48, 14)}`, 'hatch'),
        ...both(
          'lip seals',
          `${poly([203, -54], [218, -58], [218, -44], [203, -40])} ${poly([203, -38], [218, -42], [218, -28], [203, -24])}`,
          'cross',
        ),
        ...both('packing gland', box(203, -84, 15, 28), 'hatch'),
        shape('upper stem', `${mid(13, -236, 96)} ${mid(30, -176, 12)}`, 'hatch-back'),
        shape('shear pin', box(214, -146, 32, 6), 'solid'),
        ...both('outer bearing', `${box(202, -190, 14, 12)}`, 'cross'),
        ...both('inner bearing', `${box(202, -162, 14, 12)}`, 'cross'),
        ...both(
          'bearing cap',
          poly(
            [162, -150],
            [162, -206],
            [214, -206],
            [214, -194],
            [196, -194],
            [196, -128],
            [172, -128],
            [172, -150],
          ),
          'hatch',
        ),
        ...rings('cap O-ring', 62, -136, 7),
        shape('grease fitting', `${box(330, -20, 24, 12)} ${box(354, -18, 10, 8)}`, 'solid'),
      ],
      thin: threads(217, 243, -228, 9, 6),
      touch: {
        'outer gate': [262, 90],
        'inner gate': [198, 90],
        'bearing cap': [166, -180],
        'packing gland': [210, -72],
        'upper stem': [230, -216],
        stem: [230, 40],
        'seat assemblies': [150, 205],
      },
      away: { 'seat assemblies': 'left', 'grease fitting': 'right' },
    },
    shifted(wheel(), -222),
  );
}
