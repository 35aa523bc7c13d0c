import type { Valve } from '@dusk-wren/core/valve';
import { moverOnShaft } from '../movers';
import { flowAt } from '../sections/body';
import { CX, both, box, circle, mid, poly, shape, shifted, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** Three pieces: a ball between two caps, seats and two rings of seals at each end. */
export function ball(valve: Valve): Piece {
  const axis = 110;
  const cap = poly(
    [40, axis - 60],
    [54, axis - 60],
    [54, axis - 46],
    [104, axis - 46],
    [120, axis - 88],
    [150, axis - 88],
    [150, axis - 34],
    [40, axis - 34],
  );
  const capLow = poly(
    [40, axis + 60],
    [54, axis + 60],
    [54, axis + 46],
    [104, axis + 46],
    [120, axis + 88],
    [150, axis + 88],
    [150, axis + 34],
    [40, axis + 34],
  );
  const lever = shifted(moverOnShaft(valve.features), -64);
  return together(
    {
      shapes: [
        ...both(
          'body',
          poly(
            [150, axis - 88],
            [212, axis - 88],
            [212, axis - 150],
            [220, axis - 150],
            [220, axis - 72],
            [150, axis - 72],
          ),
          'hatch',
        ),
        ...both(
          'body',
          poly([150, axis + 72], [230, axis + 72], [230, axis + 88], [150, axis + 88]),
          'hatch',
        ),
        ...both('end caps', `${cap} ${capLow}`, 'hatch-back'),
        shape('ball', `M${CX - 62} ${axis - 34} A70 70 0 0 1 ${CX + 62} ${axis - 34} Z`, 'hatch'),
        shape('ball', `M${CX - 62} ${axis + 34} A70 70 0 0 0 ${CX + 62} ${axis + 34} Z`, 'hatch'),
        ...both(
          'soft seats',
          `${poly([152, axis - 62], [180, axis - 58], [166, axis - 34], [152, axis - 34])} ${poly([152, axis + 62], [180, axis + 58], [166, axis + 34], [152, axis + 34])}`,
          'cross',
        ),
        ...both('inner body seals', `${circle(154, axis - 68, 4)} ${circle(154, axis + 68, 4)}`, 'solid'),
        ...both('outer body seals', `${circle(150, axis - 80, 4)} ${circle(150, axis + 80, 4)}`, 'solid'),
        shape('stem', `${mid(9, axis - 176, 104)} ${mid(14, axis - 76, 10)}`, 'hatch-back'),
        ...both('stem seals', `${box(212, axis - 84, 8, 8)} ${box(212, axis - 150, 8, 6)}`, 'cross'),
        shape(
          'body bolts',
          `${box(100, axis - 112, 260, 7)} ${box(96, axis - 116, 10, 15)} ${box(354, axis - 116, 10, 15)} ${box(100, axis + 105, 260, 7)} ${box(96, axis + 101, 10, 15)} ${box(354, axis + 101, 10, 15)}`,
          'solid',
        ),
      ],
      flow: flowAt(axis),
      touch: {
        ball: [230, axis - 52],
        'end caps': [130, axis - 60],
        body: [190, axis + 80],
        'body bolts': [330, axis + 108],
        'soft seats': [160, axis - 46],
        stem: [230, axis - 130],
      },
      away: {
        'end caps': 'left',
        'soft seats': 'left',
        'inner body seals': 'left',
        'outer body seals': 'left',
        'body bolts': 'right',
      },
    },
    lever,
  );
}
